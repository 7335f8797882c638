<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { useSiteFilters } from '@/features/filter'
import { useTanks } from '@/features/tank'
import AsyncState from '@/shared/components/AsyncState.vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import NumberField from '@/shared/components/NumberField.vue'
import SelectField from '@/shared/components/SelectField.vue'
import { addDays, shortDay, today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { useBeginTrial } from './queries'
import { emptyTrial, toTrial } from './trials'
import { newId } from '@/shared/ids'

/** At the table: which task, which two intervals, and how long they take turns. */
const router = useRouter()
const tanks = useTanks()
const filters = useSiteFilters()
const begin = useBeginTrial()
const { sending, errors, trouble, send, refuse } = useSending()
const form = ref(emptyTrial())
const id = newId()

const tasks = computed(() =>
  (filters.data.value ?? [])
    .filter((filter) => String(filter.tankId) === form.value.tank)
    .flatMap((filter) =>
      filter.tasks
        .filter((task) => task.mode !== 'OFF' && !task.withOpening)
        .map((task) => ({ value: String(task.id), label: `${task.name}, ${filter.name}` })),
    ),
)
const ends = computed(() => {
  const days = Number(form.value.periodDays) * Number(form.value.periods)
  return Number.isInteger(days) && days > 0 ? shortDay(addDays(today(), days)) : undefined
})

async function start() {
  const { input, errors: amiss } = toTrial(form.value)
  if (Object.keys(amiss).length) {
    refuse(amiss)
    return
  }
  const begun = send(async () => {
    await begin.mutateAsync({ id, input })
    return true
  })
  if (await begun) await router.push({ name: 'trials' })
}
</script>

<template>
  <main class="page narrow">
    <h1>Begin a trial</h1>
    <p class="quiet">
      The two intervals take turns from today. Read the parameter once or twice a week, and leave stocking and
      feeding as they are.
    </p>
    <AsyncState
      :pending="tanks.isPending.value || filters.isPending.value"
      :error="tanks.error.value ?? filters.error.value"
      what="the tanks"
      @retry="filters.refetch()"
    >
      <form novalidate @submit.prevent="start">
        <div class="row">
          <SelectField
            v-model="form.tank"
            label="Tank"
            name="tank"
            :choices="
              (tanks.data.value ?? []).map((one) => ({ value: String(one.id), label: one.tank.name }))
            "
            @update:model-value="form.task = ''"
          />
          <SelectField
            v-model="form.task"
            label="Task"
            name="taskId"
            :choices="tasks"
            :disabled="!form.tank"
            :error="errors.taskId"
          />
        </div>
        <div class="row">
          <NumberField
            v-for="field in ['firstDays', 'otherDays'] as const"
            :key="field"
            v-model="form[field]"
            :label="field === 'firstDays' ? 'Every' : 'Or every'"
            :name="field"
            unit="days"
            :error="errors[field]"
          />
          <NumberField
            v-model="form.periodDays"
            label="In periods of"
            name="periodDays"
            unit="days"
            hint="At least twice the longer interval"
            :error="errors.periodDays"
          />
          <NumberField
            v-model="form.periods"
            label="Periods"
            name="periods"
            :hint="ends ? `In fours; ends ${ends}` : 'In fours'"
            :error="errors.periods"
          />
        </div>
        <ChoiceRow
          v-model="form.parameter"
          legend="Compare the rise of"
          name="parameter"
          :choices="[
            { value: 'NITRATE', label: 'Nitrate' },
            { value: 'PHOSPHATE', label: 'Phosphate' },
          ]"
          :error="errors.parameter"
        />
        <p v-if="trouble && !errors.taskId" class="error" role="alert">{{ trouble }}</p>
        <el-button type="primary" native-type="submit" :disabled="sending">Begin today</el-button>
      </form>
    </AsyncState>
  </main>
</template>

<style scoped>
form {
  display: grid;
  gap: 18px;
  justify-items: start;
  margin-top: 16px;
}

.row {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(165px, 1fr));
  gap: 16px;
  width: 100%;
}
</style>
