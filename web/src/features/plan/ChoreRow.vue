<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { upperFirst } from '@/shared/words'
import { agoWords, shortDay, today, windowWords } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { typedNumber } from '@/shared/units'
import { useChoreDone, useChoreNotDone, useSaveChore, type Chore } from './queries'

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
  const id = crypto.randomUUID()
  const kind = props.chore.kind
  const logged = send(async () => {
    await done.mutateAsync({ id, tankId: props.tank, kind, doneOn: today() })
    return true
  })
  if (await logged) offerUndo(`${name.value}: done today.`, () => notDone.mutateAsync(id))
}
</script>

<template>
  <article class="chore" :aria-label="name">
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
          <button class="button plain" type="button" @click="send(() => notDone.mutateAsync(one.id))">
            Not done after all
          </button>
        </p>
      </details>
    </div>
    <form novalidate @submit.prevent="plan">
      <label data-field="everyDays">
        <span class="small">Every</span>
        <input
          v-model="days"
          class="digits num"
          inputmode="numeric"
          :aria-label="`${name}, every so many days`"
        />
        <span class="small">days</span>
        <span v-if="errors.everyDays" class="error small" role="alert">{{ errors.everyDays }}</span>
      </label>
      <button
        class="button plain"
        type="submit"
        :disabled="sending || (chore.everyDays !== undefined && days === String(chore.everyDays))"
      >
        {{ chore.everyDays === undefined ? 'Plan it' : 'Change' }}
      </button>
      <button
        v-if="chore.everyDays !== undefined"
        class="button plain"
        type="button"
        :disabled="sending"
        @click="send(() => save.mutateAsync({ kind: chore.kind }))"
      >
        Do not plan it
      </button>
    </form>
    <RouterLink v-if="byLitres" class="button outlined" :to="{ name: 'water-change', params: { tank } }"
      >Log a change</RouterLink
    >
    <button v-else class="button outlined" type="button" :disabled="sending" @click="log">Done today</button>
    <p v-if="trouble && !Object.keys(errors).length" class="error" role="alert">{{ trouble }}</p>
  </article>
</template>

<style scoped>
.chore {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 8px 18px;
  align-items: center;
  padding: 12px 0;
  border-top: 1px solid var(--line);
}

form,
label {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}

.error {
  color: var(--brick);
}

@media (width <= 640px) {
  .chore {
    grid-template-columns: 1fr;
  }
}
</style>
