<script setup lang="ts">
import { computed } from 'vue'
import type { Spread } from './queries'

/** Twenty futures of equal chance as dots on one scale; the middle as a line, eight in ten as a bar. */
const props = defineProps<{ spread: Spread; top: number; words: string }>()

const RADIUS = 4.2
const WIDTH = 680
const FLOOR = 34
const STEP = RADIUS * 2

const x = (value: number) => 6 + (value / (props.top || 1)) * (WIDTH - 12)
/** Dots that would lie on each other are stacked. */
const dots = computed(() => {
  const heights: Record<number, number> = {}
  return props.spread.values.map((value) => {
    const column = Math.round(x(value) / STEP)
    const height = heights[column] ?? 0
    heights[column] = height + 1
    return { x: column * STEP, y: FLOOR - RADIUS - Math.min(height, 6) * (STEP * 0.62) }
  })
})
</script>

<template>
  <svg class="w-full min-h-30px" :viewBox="`0 0 ${WIDTH} 44`" role="img" :aria-label="words">
    <line class="stroke-line" x1="0" :x2="WIDTH" :y1="FLOOR + 4" :y2="FLOOR + 4" />
    <rect
      class="most fill-silt"
      :x="x(spread.low)"
      :y="FLOOR + 2"
      :width="Math.max(2, x(spread.high) - x(spread.low))"
      height="4"
    />
    <circle
      v-for="(dot, i) in dots"
      :key="i"
      class="dot fill-silt-stipple stroke-silt stroke-width-0.8"
      :cx="dot.x"
      :cy="dot.y"
      :r="RADIUS - 0.8"
    />
    <line
      class="middle stroke-herb stroke-width-2.5"
      :x1="x(spread.middle)"
      :x2="x(spread.middle)"
      y1="4"
      :y2="FLOOR + 9"
    />
  </svg>
</template>
