<script setup lang="ts">
import { texts } from '../texts'
import { computed } from 'vue'
import { daysBetween, shortDay, windowWords, type Day, type Window } from '../dates'
import type { Standing } from '../standing'

/** A task's window on a line of days: a bar from earliest to latest, a tick at the ideal day, a mark for today. */
const props = withDefaults(
  defineProps<{
    window: Window
    standing: Standing
    today: Day
    /** Days before today at the left end. */
    before?: number
    /** Days after today at the right end. */
    after?: number
    /** Days around today that are drawn in full; farther ones are drawn closer together. */
    focus?: number
  }>(),
  { before: 14, after: 21, focus: 14 },
)

const place = (days: number) => Math.asinh(days / props.focus)
const percent = (day: Day) => {
  const days = Math.min(Math.max(daysBetween(props.today, day), -props.before), props.after)
  const from = place(-props.before)
  return 2 + (96 * (place(days) - from)) / (place(props.after) - from)
}
const bar = computed(() => ({ from: percent(props.window.earliest), to: percent(props.window.latest) }))
const ideal = computed(() => percent(props.window.ideal))
const now = computed(() => percent(props.today))
const words = computed(() => texts.best(windowWords(props.window), shortDay(props.window.ideal)))
</script>

<template>
  <svg
    class="block w-full text-ink-quiet overflow-visible"
    :class="standing.toLowerCase()"
    role="img"
    :aria-label="words"
    height="30"
  >
    <title>{{ words }}</title>
    <line class="stroke-line stroke-width-1.5" x1="1%" x2="99%" y1="17" y2="17" />
    <line
      class="stroke-current stroke-width-7 stroke-cap-round [stroke-opacity:0.3]"
      :x1="`${bar.from}%`"
      :x2="`${bar.to}%`"
      y1="17"
      y2="17"
    />
    <line
      class="stroke-current stroke-width-3 stroke-cap-round"
      :x1="`${ideal}%`"
      :x2="`${ideal}%`"
      y1="10"
      y2="24"
    />
    <svg class="fill-ink" :x="`${now}%`" y="1" overflow="visible"><path d="M-5 0h10l-5 7z" /></svg>
  </svg>
</template>

<style scoped>
.late {
  color: var(--brick);
}

.due {
  color: var(--amber);
}

.open {
  color: var(--herb);
}
</style>
