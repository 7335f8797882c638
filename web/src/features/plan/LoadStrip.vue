<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { longDay, shortDay } from '@/shared/dates'
import { capacity, marked } from './plan'
import type { PlanDay } from './queries'

/** Minutes of each day as low bars against what people have; a day over its limit overshoots its tick. */
const props = defineProps<{ days: PlanDay[] }>()

const HEIGHT = 54
const most = computed(() => Math.max(60, ...props.days.map((day) => Math.max(day.minutes, capacity(day)))))
const tall = (minutes: number) => (minutes / most.value) * HEIGHT
const marks = computed(() => marked(props.days.map((day) => day.on)))
const bars = computed(() =>
  props.days.map((day, index) => ({
    day,
    x: (100 * index) / props.days.length,
    width: 74 / props.days.length,
    over: day.minutes > capacity(day),
    month: marks.value.has(day.on) ? shortDay(day.on) : '',
  })),
)
const over = computed(() => bars.value.filter((bar) => bar.over))
const words = computed(() =>
  over.value.length
    ? texts.minutesByDayMore(over.value.map((bar) => longDay(bar.day.on)).join(', '))
    : texts.minutesByDayNo,
)
</script>

<template>
  <svg class="block w-full overflow-visible" role="img" :aria-label="words" :height="HEIGHT + 22">
    <title>{{ words }}</title>
    <g v-for="bar in bars" :key="bar.day.on">
      <rect
        v-if="capacity(bar.day) === 0"
        class="fill-hair"
        :x="`${bar.x}%`"
        :width="`${bar.width}%`"
        y="0"
        :height="HEIGHT"
      />
      <rect
        class="fill-herb-soft stroke-herb"
        :class="{ over: bar.over }"
        :x="`${bar.x}%`"
        :width="`${bar.width}%`"
        :y="HEIGHT - tall(bar.day.minutes)"
        :height="tall(bar.day.minutes)"
      />
      <line
        v-if="capacity(bar.day) > 0"
        class="stroke-ink stroke-width-2"
        :x1="`${bar.x}%`"
        :x2="`${bar.x + bar.width}%`"
        :y1="HEIGHT - tall(capacity(bar.day))"
        :y2="HEIGHT - tall(capacity(bar.day))"
      />
      <text v-if="bar.month" class="text-12.5px fill-ink-quiet" :x="`${bar.x}%`" :y="HEIGHT + 16">
        {{ bar.month }}
      </text>
    </g>
    <line class="floor stroke-line" x1="0" x2="100%" :y1="HEIGHT" :y2="HEIGHT" />
  </svg>
</template>

<style scoped>
.over {
  fill: var(--brick-soft);
  stroke: var(--brick);
}
</style>
