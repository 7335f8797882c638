<script setup lang="ts">
import { texts } from './texts'
import { computed, reactive, ref } from 'vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import DayField from '@/shared/components/DayField.vue'
import NumberField from '@/shared/components/NumberField.vue'
import SelectField from '@/shared/components/SelectField.vue'
import TextField from '@/shared/components/TextField.vue'
import { shortDay } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { typedNumber } from '@/shared/units'
import PersonWeek from './PersonWeek.vue'
import { useAddException, useRemoveException, useSaveHelpers, useTime } from './queries'

/** At the table: who has how many minutes on which day, exceptions, and what helpers may do. */
const time = useTime()
const add = useAddException()
const remove = useRemoveException()
const helpers = useSaveHelpers()
const { sending, errors, trouble, send, refuse } = useSending()
const removing = useSending()

const form = reactive({ who: 0, firstDay: '', lastDay: '', minutes: '0', note: '' })
const said = ref('')
const name = (account?: number) =>
  time.data.value?.people.find((person) => person.accountId === account)?.name ?? 'Everyone'
const keeperOnly = computed(
  () => time.data.value?.work.filter((one) => !one.helperMay).map((one) => one.work) ?? [],
)

async function addDays() {
  const minutes = typedNumber(form.minutes)
  const wrong: Record<string, string> = {}
  if (!form.firstDay) wrong.firstDay = texts.fromWhichDay
  if (!form.lastDay) wrong.lastDay = texts.toWhichDay
  if (!Number.isInteger(minutes)) wrong.minutes = texts.aWholeNumberOfMinutes
  if (Object.keys(wrong).length) {
    refuse(wrong)
    return
  }
  const done = await send(() =>
    add.mutateAsync({
      accountId: form.who || undefined,
      firstDay: form.firstDay,
      lastDay: form.lastDay,
      minutes: minutes ?? 0,
      note: form.note.trim(),
    }),
  )
  if (done) {
    Object.assign(form, { firstDay: '', lastDay: '', note: '' })
    said.value = texts.addedThePlanWorks
  }
}

function allow(work: string, may: boolean) {
  const others = keeperOnly.value.filter((one) => one !== work)
  return removing.send(() => helpers.mutateAsync(may ? others : [...others, work]))
}
</script>

<template>
  <main class="page narrow">
    <h1>{{ texts.peoplesDays }}</h1>
    <p class="quiet">
      {{ texts.thePlanKeepsTo }} <RouterLink :to="{ name: 'plan' }">{{ texts.plan }}</RouterLink>
    </p>
    <AsyncState
      :pending="time.isPending.value"
      :error="lacking(time)"
      :what="texts.peoplesDays2"
      @retry="time.refetch()"
    >
      <template v-if="time.data.value">
        <p v-if="time.data.value.assumed" class="py-2 px-10px bg-amber-soft">
          {{ texts.noWorkingHoursSetYet }}
        </p>
        <section class="mt-18px mb-26px" aria-labelledby="weeks">
          <h2 id="weeks">{{ texts.aUsualWeekIn }}</h2>
          <PersonWeek v-for="person in time.data.value.people" :key="person.accountId" :person="person" />
        </section>
        <section class="mt-18px mb-26px" aria-labelledby="other">
          <h2 id="other">{{ texts.exceptions }}</h2>
          <p v-if="time.data.value.exceptions.length === 0" class="quiet">{{ texts.noneComingUp }}</p>
          <ul>
            <li
              v-for="one in time.data.value.exceptions"
              :key="one.id"
              class="flex justify-between items-center edge-b-hair"
            >
              <span>
                {{
                  texts.to3(
                    name(one.accountId),
                    shortDay(one.firstDay),
                    shortDay(one.lastDay),
                    one.minutes ? texts.minutesADay(one.minutes) : texts.away,
                  )
                }}
                <span class="quiet">{{ one.note }}</span>
              </span>
              <el-button type="primary" text @click="removing.send(() => remove.mutateAsync(one.id))">
                {{ texts.remove }}<span class="seen-by-readers"> {{ shortDay(one.firstDay) }}</span>
              </el-button>
            </li>
          </ul>
          <p v-if="removing.trouble.value" role="alert">{{ removing.trouble.value }}</p>
          <form
            class="add grid cols-[repeat(auto-fit,minmax(150px,1fr))] gap-12px items-start mt-12px"
            novalidate
            @submit.prevent="addDays"
          >
            <SelectField
              v-model="form.who"
              :label="texts.who"
              name="accountId"
              :choices="[
                { value: 0, label: texts.everyone },
                ...time.data.value.people.map((one) => ({ value: one.accountId, label: one.name })),
              ]"
            />
            <DayField v-model="form.firstDay" :label="texts.from" name="firstDay" :error="errors.firstDay" />
            <DayField v-model="form.lastDay" :label="texts.to" name="lastDay" :error="errors.lastDay" />
            <NumberField
              v-model="form.minutes"
              :label="texts.minutesADay2"
              name="minutes"
              :hint="texts.n0ForAway"
              :error="errors.minutes"
            />
            <TextField v-model="form.note" :label="texts.note" name="note" :error="errors.note" />
            <el-button
              class="mt-26px max-phone:mt-0"
              type="primary"
              native-type="submit"
              :disabled="sending"
              >{{ texts.addTheseDays }}</el-button
            >
          </form>
          <p v-if="trouble && !Object.keys(errors).length" role="alert">{{ trouble }}</p>
          <p v-if="said" role="status" class="quiet">{{ said }}</p>
        </section>
        <section class="mt-18px mb-26px" aria-labelledby="may">
          <h2 id="may">{{ texts.helpersMayDo }}</h2>
          <div class="grid cols-[repeat(auto-fill,minmax(240px,1fr))] gap-6px mt-2">
            <el-checkbox
              v-for="one in time.data.value.work"
              :key="one.work"
              class="flex gap-2 items-center min-h-5"
              :model-value="one.helperMay"
              @update:model-value="(may) => allow(one.work, may === true)"
            >
              {{ one.name }}
            </el-checkbox>
          </div>
        </section>
      </template>
    </AsyncState>
  </main>
</template>
