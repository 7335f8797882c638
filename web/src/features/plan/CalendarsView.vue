<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import AsyncState from '@/shared/components/AsyncState.vue'
import FieldFrame from '@/shared/components/FieldFrame.vue'
import SelectField from '@/shared/components/SelectField.vue'
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

const form = reactive({ startsAt: '17:00', alarm: -1 })
const ALARMS = [
  { value: -1, label: 'No alarm' },
  { value: 0, label: 'At the start' },
  { value: 30, label: '30 minutes before' },
  { value: 720, label: '12 hours before' },
]
const path = ref('')
const address = computed(() => (path.value ? globalThis.location.origin + path.value : ''))
const copied = ref(false)

async function create() {
  copied.value = false
  const made = await send(() =>
    make.mutateAsync({
      startsAt: `${form.startsAt}:00`,
      alarmMinutes: form.alarm < 0 ? undefined : form.alarm,
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
      Your visits in your own calendar. When one moves in the plan, it moves there too.
      <RouterLink :to="{ name: 'plan' }">Plan</RouterLink>
    </p>
    <section class="mt-18px mb-26px" aria-labelledby="addresses">
      <h2 id="addresses">Secret addresses</h2>
      <AsyncState
        :pending="calendars.isPending.value"
        :error="calendars.error.value"
        what="the addresses"
        @retry="calendars.refetch()"
      >
        <p v-if="calendars.data.value?.length === 0" class="quiet">
          None yet. Make one and subscribe to it in your calendar app.
        </p>
        <ul>
          <li
            v-for="one in calendars.data.value"
            :key="one.id"
            class="flex justify-between items-center edge-b-hair"
          >
            <span>
              Made {{ shortDay(one.madeAt.slice(0, 10)) }}, from {{ one.startsAt.slice(0, 5)
              }}{{ one.alarmMinutes === undefined ? '' : ', with alarm' }},
              <span class="quiet">{{
                one.readAt ? `last read ${shortDay(one.readAt.slice(0, 10))}` : 'not read yet'
              }}</span>
            </span>
            <el-button type="primary" text @click="end(one.id)">Turn off this address</el-button>
          </li>
        </ul>
        <p v-if="ending.trouble.value" role="alert">{{ ending.trouble.value }}</p>
      </AsyncState>
      <form
        class="flex flex-wrap gap-y-12px gap-x-18px items-end mt-12px"
        novalidate
        @submit.prevent="create"
      >
        <FieldFrame
          v-slot="{ id, note }"
          label="A day’s visits begin at"
          name="startsAt"
          :error="errors.startsAt"
        >
          <el-time-select
            :id="id"
            v-model="form.startsAt"
            start="05:00"
            step="00:30"
            end="23:30"
            :clearable="false"
            :aria-describedby="note"
          />
        </FieldFrame>
        <SelectField v-model="form.alarm" label="Alarm" name="alarmMinutes" :choices="ALARMS" />
        <el-button type="primary" native-type="submit" :disabled="sending || !form.startsAt"
          >Make an address</el-button
        >
      </form>
      <p v-if="trouble && !Object.keys(errors).length" role="alert">{{ trouble }}</p>
      <div
        v-if="address"
        class="fresh grid gap-2 justify-items-start mt-12px py-12px px-3 bg-herb-soft"
        role="status"
      >
        <p>
          <b>Shown this once.</b> Anyone who has it can read your visits. Turn it off if it gets into the
          wrong hands.
        </p>
        <TextField :model-value="address" label="Address" name="address" />
        <el-button type="primary" text @click="copy">{{ copied ? 'Copied' : 'Copy' }}</el-button>
      </div>
    </section>
    <section class="mt-18px mb-26px" aria-labelledby="file">
      <h2 id="file">A file</h2>
      <p>
        The coming weeks as they stand now, for an app that can’t subscribe.
        <a href="/api/plan/calendar.ics" download>Download the calendar</a>
      </p>
    </section>
    <DigestPanel
      class="mt-18px mb-26px mx-0"
      @said="(words: string, undo: () => Promise<unknown>) => offerUndo(words, undo)"
    />
  </main>
</template>

<style scoped>
.fresh > :nth-child(2) {
  width: 100%;
}
</style>
