<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import type { Forecast } from '@/features/interval'
import { lookOf } from './picture'
import type { Stage } from './queries'

/** A filter's water path in one small line: how full each stage is thought to be, and which asks for something. */
const props = defineProps<{
  name: string
  stages: Pick<Stage, 'id' | 'kind' | 'name'>[]
  forecasts: Forecast[]
}>()

const HEIGHT = 34
const SHRUNK = 0.3
const FULL = 1.15

type State = Forecast['standing'] | 'HELD'
const stateOf = (care: Forecast): State => (care.hold ? 'HELD' : care.standing)
const URGENT: State[] = ['LATE', 'DUE', 'HELD']

const cells = computed(() => {
  let x = 0
  return props.stages.map((stage) => {
    const own = props.forecasts.filter((forecast) => forecast.subject.stageId === stage.id)
    const state = URGENT.find((one) => own.some((care) => stateOf(care) === one))
    const { width, texture } = lookOf(stage.kind)
    const cell = {
      stage,
      state,
      texture,
      loading: own.find((care) => care.loading)?.loading,
      x,
      width: width * SHRUNK,
    }
    x += cell.width + 2
    return cell
  })
})
const total = computed(() => cells.value.reduce((sum, cell) => sum + cell.width + 2, 0))
const silt = (loading: number) => Math.min(Math.max(loading, 0), FULL) * (HEIGHT / FULL)
const WORDS = { LATE: 'overdue', DUE: 'due', HELD: texts.onHold, OPEN: '', LATER: '' }
const sentence = computed(() => {
  const asking = cells.value.flatMap(({ stage, state }) => (state ? [`${stage.name} ${WORDS[state]}`] : []))
  return `${props.name}: ${asking.length ? asking.join(', ') : texts.nothingDue}`
})
</script>

<template>
  <svg
    v-if="cells.length"
    class="max-w-full"
    role="img"
    :aria-label="sentence"
    :width="total"
    :height="HEIGHT + 2"
    :viewBox="`0 0 ${total} ${HEIGHT + 2}`"
  >
    <title>{{ sentence }}</title>
    <g v-for="cell in cells" :key="cell.stage.id" :class="cell.state?.toLowerCase()">
      <rect class="fill-cell" :x="cell.x + 0.5" y="1" :width="cell.width" :height="HEIGHT" rx="2" />
      <template v-if="cell.loading">
        <rect
          class="perhaps fill-silt-stipple"
          :x="cell.x + 0.5"
          :y="HEIGHT + 1 - silt(cell.loading.high)"
          :width="cell.width"
          :height="silt(cell.loading.high)"
        />
        <rect
          class="silt fill-silt"
          :x="cell.x + 0.5"
          :y="HEIGHT + 1 - silt(cell.loading.low)"
          :width="cell.width"
          :height="silt(cell.loading.low)"
        />
        <line
          class="stroke-ink stroke-width-1.5"
          :x1="cell.x"
          :x2="cell.x + 5"
          :y1="HEIGHT + 1 - silt(cell.loading.servicePoint)"
          :y2="HEIGHT + 1 - silt(cell.loading.servicePoint)"
        />
      </template>
      <rect
        class="rim fill-none stroke-line"
        :x="cell.x + 0.5"
        y="1"
        :width="cell.width"
        :height="HEIGHT"
        rx="2"
      />
    </g>
    <line class="stream stroke-stream stroke-width-2" x1="0" :x2="total" y1="7" y2="7" />
  </svg>
</template>

<style scoped>
.late .rim {
  stroke: var(--brick);
  stroke-width: 2.5;
}

.due .rim {
  stroke: var(--amber);
  stroke-width: 2.5;
}

.held .rim {
  stroke: var(--plum);
  stroke-width: 2;
  stroke-dasharray: 4 3;
}
</style>
