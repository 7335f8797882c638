<script setup lang="ts">
import { texts } from './texts'
import { computed, reactive, ref } from 'vue'
import { lacking } from '@/shared/asking'
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
  { value: -1, label: texts.noAlarm },
  { value: 0, label: texts.atTheStart },
  { value: 30, label: texts.n30MinutesBefore },
  { value: 720, label: texts.n12HoursBefore },
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
    <h1>{{ texts.calendars }}</h1>
    <p class="quiet">
      {{ texts.yourVisitsInYour }}
      <RouterLink :to="{ name: 'plan' }">{{ texts.plan }}</RouterLink>
    </p>
    <section class="mt-18px mb-26px" aria-labelledby="addresses">
      <h2 id="addresses">{{ texts.secretAddresses }}</h2>
      <AsyncState
        :pending="calendars.isPending.value"
        :error="lacking(calendars)"
        :what="texts.theAddresses"
        @retry="calendars.refetch()"
      >
        <p v-if="calendars.data.value?.length === 0" class="quiet">
          {{ texts.noneYetMakeOne }}
        </p>
        <ul>
          <li
            v-for="one in calendars.data.value"
            :key="one.id"
            class="flex justify-between items-center edge-b-hair"
          >
            <span>
              {{
                texts.madeFrom(
                  shortDay(one.madeAt.slice(0, 10)),
                  one.startsAt.slice(0, 5),
                  one.alarmMinutes === undefined ? '' : texts.withAlarm,
                )
              }}
              <span class="quiet">{{
                one.readAt ? texts.lastRead(shortDay(one.readAt.slice(0, 10))) : texts.notReadYet
              }}</span>
            </span>
            <el-button type="primary" text @click="end(one.id)">{{ texts.turnOffThisAddress }}</el-button>
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
          :label="texts.aDaysVisitsBegin"
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
        <SelectField
          v-model="form.alarm"
          class="w-220px"
          :label="texts.alarm"
          name="alarmMinutes"
          :choices="ALARMS"
        />
        <el-button type="primary" native-type="submit" :disabled="sending || !form.startsAt">{{
          texts.makeAnAddress
        }}</el-button>
      </form>
      <p v-if="trouble && !Object.keys(errors).length" role="alert">{{ trouble }}</p>
      <div
        v-if="address"
        class="fresh grid gap-2 justify-items-start mt-12px py-12px px-3 bg-herb-soft"
        role="status"
      >
        <p>
          <b>{{ texts.shownThisOnce }}</b> {{ texts.anyoneWhoHasIt }}
        </p>
        <TextField :model-value="address" :label="texts.address" name="address" />
        <el-button type="primary" text @click="copy">{{ copied ? texts.copied : texts.copy }}</el-button>
      </div>
    </section>
    <section class="mt-18px mb-26px" aria-labelledby="file">
      <h2 id="file">{{ texts.aFile }}</h2>
      <p>
        {{ texts.theComingWeeksAs }}
        <a href="/api/plan/calendar.ics" download>{{ texts.downloadTheCalendar }}</a>
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
