<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import AsyncState from '@/shared/components/AsyncState.vue'
import TextField from '@/shared/components/TextField.vue'
import { shortDay } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import DigestPanel from './DigestPanel.vue'
import { useCalendars, useMakeCalendar, useRevokeCalendar } from './queries'

/** At the table: the plan in people's own calendars, as an address, a file or an evening mail. */
const calendars = useCalendars()
const make = useMakeCalendar()
const revoke = useRevokeCalendar()
const { sending, errors, trouble, send } = useSending()
const ending = useSending()

const form = reactive({ startsAt: '17:00', alarm: '' })
const ALARMS = [
  { value: '', label: 'No alarm' },
  { value: '0', label: 'At the start' },
  { value: '30', label: '30 minutes before' },
  { value: '720', label: '12 hours before' },
]
const path = ref('')
const address = computed(() => (path.value ? globalThis.location.origin + path.value : ''))
const copied = ref(false)

async function create() {
  copied.value = false
  const made = await send(() =>
    make.mutateAsync({
      startsAt: `${form.startsAt}:00`,
      alarmMinutes: form.alarm === '' ? undefined : Number(form.alarm),
    }),
  )
  if (made) path.value = made.path
}

async function copy() {
  await navigator.clipboard.writeText(address.value)
  copied.value = true
}

async function end(id: number) {
  await ending.send(() => revoke.mutateAsync(id))
}
</script>

<template>
  <main class="page narrow">
    <h1>Calendars</h1>
    <p class="quiet">
      Your visits in your own calendar. One that moves in the plan moves there.
      <RouterLink :to="{ name: 'plan' }">Plan</RouterLink>
    </p>
    <section aria-labelledby="addresses">
      <h2 id="addresses">Secret addresses</h2>
      <AsyncState
        :pending="calendars.isPending.value"
        :error="calendars.error.value"
        what="the addresses"
        @retry="calendars.refetch()"
      >
        <p v-if="calendars.data.value?.length === 0" class="quiet">
          None yet. Make one and give it to your calendar program as a subscription.
        </p>
        <ul>
          <li v-for="one in calendars.data.value" :key="one.id" class="line">
            <span>
              Made {{ shortDay(one.madeAt.slice(0, 10)) }}, from {{ one.startsAt.slice(0, 5)
              }}{{ one.alarmMinutes === undefined ? '' : ', with alarm' }},
              <span class="quiet">{{
                one.readAt ? `last read ${shortDay(one.readAt.slice(0, 10))}` : 'not read yet'
              }}</span>
            </span>
            <button class="button plain" type="button" @click="end(one.id)">End this address</button>
          </li>
        </ul>
        <p v-if="ending.trouble.value" role="alert">{{ ending.trouble.value }}</p>
      </AsyncState>
      <form class="make" novalidate @submit.prevent="create">
        <label>
          <b>A day’s visits begin at</b>
          <input v-model="form.startsAt" class="time" type="time" name="startsAt" required />
          <span v-if="errors.startsAt" class="error" role="alert">{{ errors.startsAt }}</span>
        </label>
        <label>
          <b>Alarm</b>
          <select v-model="form.alarm" name="alarmMinutes">
            <option v-for="one in ALARMS" :key="one.value" :value="one.value">{{ one.label }}</option>
          </select>
        </label>
        <button class="button" type="submit" :disabled="sending || !form.startsAt">Make an address</button>
      </form>
      <p v-if="trouble && !Object.keys(errors).length" role="alert">{{ trouble }}</p>
      <div v-if="address" class="fresh" role="status">
        <p>
          <b>Shown this once.</b> Whoever has it can read your visits; end it if it gets into wrong hands.
        </p>
        <TextField :model-value="address" label="Address" name="address" />
        <button class="button plain" type="button" @click="copy">{{ copied ? 'Copied' : 'Copy' }}</button>
      </div>
    </section>
    <section aria-labelledby="file">
      <h2 id="file">A file</h2>
      <p>
        The coming weeks as they are now, for a program that cannot subscribe.
        <a href="/api/plan/calendar.ics" download>Download the calendar</a>
      </p>
    </section>
    <DigestPanel @said="(words: string, undo: () => Promise<unknown>) => offerUndo(words, undo)" />
  </main>
</template>

<style scoped>
section {
  margin: 18px 0 26px;
}

.line {
  display: flex;
  justify-content: space-between;
  align-items: center;
  border-bottom: 1px solid var(--hair);
}

.make {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 18px;
  align-items: end;
  margin-top: 12px;
}

.make label {
  display: grid;
  gap: 4px;
}

.time {
  min-height: 42px;
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--surface);
  color: var(--ink);
}

.fresh {
  display: grid;
  gap: 8px;
  justify-items: start;
  margin-top: 12px;
  padding: 12px 14px;
  background: var(--herb-soft);
}

.fresh > :nth-child(2) {
  width: 100%;
}

.error {
  color: var(--brick);
}
</style>
