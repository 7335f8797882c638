<script setup lang="ts">
import { texts } from './texts'
import { computed, ref, watch } from 'vue'
import { upperFirst } from '@/shared/words'
import { agoWords, shortDay, today, windowWords } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { typedNumber } from '@/shared/units'
import { useChoreDone, useChoreNotDone, useSaveChore, type Chore } from './queries'
import LinkButton from '@/shared/components/LinkButton.vue'
import NumberField from '@/shared/components/NumberField.vue'
import { newId } from '@/shared/ids'

/** One chore: every so many days or not planned, done today, and when it was done lately. */
const props = defineProps<{ tank: number; chore: Chore }>()

const save = useSaveChore(() => props.tank)
const done = useChoreDone()
const notDone = useChoreNotDone()
const { sending, errors, trouble, send, refuse } = useSending()
const days = ref('')
watch(
  () => props.chore,
  (chore) => (days.value = String(chore.everyDays ?? chore.startDays)),
  { immediate: true },
)
const name = computed(() => upperFirst(props.chore.name))
const byLitres = computed(() => props.chore.kind === 'WATER_CHANGE')

async function plan() {
  const every = typedNumber(days.value)
  if (!Number.isInteger(every)) {
    refuse({ everyDays: texts.aWholeNumberOf })
    return
  }
  await send(() => save.mutateAsync({ kind: props.chore.kind, everyDays: every }))
}

async function log() {
  const id = newId()
  const kind = props.chore.kind
  const logged = send(async () => {
    await done.mutateAsync({ id, tankId: props.tank, kind, doneOn: today() })
    return true
  })
  if (await logged) offerUndo(texts.doneToday(name.value), () => notDone.mutateAsync(id))
}
</script>

<template>
  <article
    class="grid cols-[1_auto_auto] gap-y-2 gap-x-18px items-center py-12px edge-t-line max-phone:cols-1fr"
    :aria-label="name"
  >
    <div>
      <h2>{{ name }}</h2>
      <p class="small quiet">
        <span class="num">{{ chore.minutes }}</span>
        {{
          texts.min(
            chore.lastOn ? texts.last(agoWords(chore.lastOn)) : texts.neverLogged,
            chore.window ? texts.next(windowWords(chore.window)) : texts.notPlanned,
          )
        }}
      </p>
      <details v-if="chore.lately.length" class="small">
        <summary>{{ texts.lately }}</summary>
        <p v-for="one in chore.lately" :key="one.id">
          {{ shortDay(one.doneOn) }}, {{ one.doneBy }}
          <el-button type="primary" text @click="send(() => notDone.mutateAsync(one.id))">
            {{ texts.itWasntDone }}
          </el-button>
        </p>
      </details>
    </div>
    <form class="flex flex-wrap gap-6px items-center" novalidate @submit.prevent="plan">
      <span class="small" aria-hidden="true">{{ texts.every }}</span>
      <NumberField
        v-model="days"
        class="days w-120px"
        :label="texts.everySoManyDays(name)"
        name="everyDays"
        :unit="texts.days"
        :error="errors.everyDays"
        bare
      />
      <el-button
        type="primary"
        text
        native-type="submit"
        :disabled="sending || (chore.everyDays !== undefined && days === String(chore.everyDays))"
      >
        {{ chore.everyDays === undefined ? texts.planIt : texts.change }}
      </el-button>
      <el-button
        v-if="chore.everyDays !== undefined"
        type="primary"
        text
        :disabled="sending"
        @click="send(() => save.mutateAsync({ kind: chore.kind }))"
      >
        {{ texts.stopPlanningIt }}
      </el-button>
    </form>
    <LinkButton v-if="byLitres" :to="{ name: 'water-change', params: { tank } }">{{
      texts.logAChange
    }}</LinkButton>
    <el-button v-else :disabled="sending" @click="log">{{ texts.doneToday2 }}</el-button>
    <p v-if="trouble && !Object.keys(errors).length" class="error" role="alert">{{ trouble }}</p>
  </article>
</template>
