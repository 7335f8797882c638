<script setup lang="ts">
import { computed } from 'vue'
import type { Drawing } from './picture'

/** A reading that rises between water changes and falls with each, until it swings within its band. */
const props = defineProps<{ drawing: Extract<Drawing, { kind: 'saw' }> }>()

const TEETH = 9
const WIDTH = 320
const HEIGHT = 110
const saw = computed(() => {
  const { peak, trough, tap, now } = props.drawing
  const share = peak > tap ? (peak - trough) / (peak - tap) : 0
  const points: [number, number][] = []
  let high = now ?? peak
  for (let tooth = 0; tooth < TEETH; tooth++) {
    const low = high - share * (high - tap)
    points.push([tooth, high], [tooth, low])
    high = low + (peak - trough)
  }
  return points
})
const most = computed(() => Math.max(1, ...saw.value.map(([, value]) => value)) * 1.1)
const y = (value: number) => 6 + HEIGHT * (1 - value / most.value)
const path = computed(() =>
  saw.value
    .map(([x, value], index) => `${index ? 'L' : 'M'}${String((x / TEETH) * WIDTH)} ${String(y(value))}`)
    .join(''),
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT + 22}`">
    <rect
      class="band fill-herb-soft"
      x="0"
      :y="y(drawing.peak)"
      :width="WIDTH"
      :height="y(drawing.trough) - y(drawing.peak)"
    />
    <path class="fill-none stroke-stream stroke-width-2" :d="path" />
    <text x="0" :y="HEIGHT + 20">{{ drawing.label }}</text>
  </svg>
</template>

<style scoped src="./picture.css"></style>
