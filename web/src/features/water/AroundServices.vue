<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { useFilters } from '@/features/filter'
import SelectField from '@/shared/components/SelectField.vue'
import { shortDay } from '@/shared/dates'
import { useAround, useParameters, useTasksDone } from './queries'
import { useUnits } from './units'

/** Before and after one kind of service, each on the same axis of days: did it help? */
const props = defineProps<{ tank: number }>()

const WIDTH = 640
const HEIGHT = 150
const BEFORE = 14
const AFTER = 28

const filters = useFilters(() => props.tank)
const parameters = useParameters()
const { scale } = useUnits()
const task = ref<number>()
const parameter = ref('NITRATE')
const around = useAround(() => props.tank, task, parameter)

const done = useTasksDone(() => props.tank)
const tasks = computed(() =>
  (filters.data.value ?? [])
    .flatMap((filter) => filter.tasks)
    .filter((one) => done.data.value?.includes(one.id)),
)
const lines = computed(() => (around.data.value ?? []).filter((one) => one.days.length > 1))
const shown = computed(() =>
  scale(parameters.data.value?.find((one) => one.code === parameter.value) ?? { unit: '' }),
)
const most = computed(() => Math.max(...lines.value.flatMap((line) => line.amounts), 1e-9))
const x = (day: number) => ((day + BEFORE) / (BEFORE + AFTER)) * WIDTH
const y = (amount: number) => HEIGHT - 8 - (amount / most.value) * (HEIGHT - 20)
const points = (line: { days: number[]; amounts: number[] }) =>
  line.days.map((day, i) => `${x(day).toFixed(1)},${y(line.amounts[i] ?? 0).toFixed(1)}`).join(' ')
</script>

<template>
  <section v-if="tasks.length" class="mt-10px mb-20px" aria-labelledby="around">
    <h2 id="around">{{ texts.beforeAndAfter }}</h2>
    <div class="flex flex-wrap gap-y-2 gap-x-20px my-2">
      <SelectField
        v-model="task"
        class="w-240px"
        :label="texts.service"
        name="task"
        :choices="tasks.map((one) => ({ value: one.id, label: one.name }))"
      />
      <SelectField
        v-model="parameter"
        class="w-240px"
        :label="texts.parameter"
        name="parameter"
        :choices="(parameters.data.value ?? []).map((one) => ({ value: one.code, label: one.label }))"
      />
    </div>
    <p v-if="task !== undefined && around.isSuccess.value && lines.length === 0" class="quiet">
      {{ texts.thereArentTwoReadings }}
    </p>
    <template v-else-if="lines.length">
      <svg
        class="w-full max-w-760px"
        :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
        role="img"
        :aria-label="texts.readingsByDaysBefore"
      >
        <line class="stroke-ink stroke-dash-4_4" :x1="x(0)" :x2="x(0)" y1="0" :y2="HEIGHT" />
        <polyline
          v-for="(line, i) in lines"
          :key="line.on"
          class="fill-none stroke-ink-quiet stroke-width-1.2 op-55"
          :class="{ latest: i === lines.length - 1 }"
          :points="points(line)"
        />
        <text class="fill-ink-quiet [font:12px_var(--text)]" x="4" y="12">
          {{ shown.shown(most).toFixed(1) }} {{ shown.unit }}
        </text>
        <text class="fill-ink-quiet [font:12px_var(--text)]" :x="x(0) + 5" :y="HEIGHT - 2">
          {{ texts.service2 }}
        </text>
      </svg>
      <p class="small quiet">
        {{ texts.servicesTheLastOn(lines.length, shortDay(lines.at(-1)?.on ?? '')) }}
      </p>
    </template>
  </section>
</template>

<style scoped>
.latest {
  stroke: var(--herb);
  stroke-width: 3;
  opacity: 1;
}
</style>
