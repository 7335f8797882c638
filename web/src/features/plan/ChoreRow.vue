<script setup lang="ts">
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
    refuse({ everyDays: 'A whole number of days.' })
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
  if (await logged) offerUndo(`${name.value}: done today.`, () => notDone.mutateAsync(id))
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
        <span class="num">{{ chore.minutes }}</span> min;
        {{ chore.lastOn ? `last ${agoWords(chore.lastOn)}` : 'never logged' }};
        {{ chore.window ? `next ${windowWords(chore.window)}` : 'not planned' }}
      </p>
      <details v-if="chore.lately.length" class="small">
        <summary>Lately</summary>
        <p v-for="one in chore.lately" :key="one.id">
          {{ shortDay(one.doneOn) }}, {{ one.doneBy }}
          <el-button type="primary" text @click="send(() => notDone.mutateAsync(one.id))">
            It wasn’t done
          </el-button>
        </p>
      </details>
    </div>
    <form class="flex flex-wrap gap-6px items-center" novalidate @submit.prevent="plan">
      <span class="small" aria-hidden="true">Every</span>
      <NumberField
        v-model="days"
        class="days w-120px"
        :label="`${name}, every so many days`"
        name="everyDays"
        unit="days"
        :error="errors.everyDays"
        bare
      />
      <el-button
        type="primary"
        text
        native-type="submit"
        :disabled="sending || (chore.everyDays !== undefined && days === String(chore.everyDays))"
      >
        {{ chore.everyDays === undefined ? 'Plan it' : 'Change' }}
      </el-button>
      <el-button
        v-if="chore.everyDays !== undefined"
        type="primary"
        text
        :disabled="sending"
        @click="send(() => save.mutateAsync({ kind: chore.kind }))"
      >
        Stop planning it
      </el-button>
    </form>
    <LinkButton v-if="byLitres" :to="{ name: 'water-change', params: { tank } }">Log a change</LinkButton>
    <el-button v-else :disabled="sending" @click="log">Done today</el-button>
    <p v-if="trouble && !Object.keys(errors).length" class="error" role="alert">{{ trouble }}</p>
  </article>
</template>
