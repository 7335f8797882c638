<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { money } from '@/shared/units'
import type { Drawing } from './picture'

/** What two ways have cost as time goes on. */
const props = defineProps<{ drawing: Extract<Drawing, { kind: 'lines' }> }>()

const WIDTH = 220
const HEIGHT = 120
const most = computed(() =>
  Math.max(1, ...props.drawing.lines.map((line) => line.from + line.perYear * props.drawing.years)),
)
const y = (amount: number) => 6 + HEIGHT * (1 - amount / most.value)
const drawn = computed(() =>
  props.drawing.lines.map((line) => {
    const end = line.from + line.perYear * props.drawing.years
    return { ...line, end, d: `M0 ${String(y(line.from))}L${String(WIDTH)} ${String(y(end))}` }
  }),
)
const apart = computed(() => {
  const [one, other] = drawn.value
  return one && other && Math.abs(y(one.end) - y(other.end)) < 14 ? 14 : 0
})
</script>

<template>
  <svg :viewBox="`0 0 320 ${HEIGHT + 24}`">
    <path class="fill-none stroke-line" :d="`M0 6V${HEIGHT + 6}H${WIDTH}`" />
    <g v-for="(line, index) in drawn" :key="line.label" :class="index ? 'instead' : 'now'">
      <path class="line fill-none stroke-width-2.5" :d="line.d" />
      <text :x="WIDTH + 6" :y="y(line.end) + 4 - index * apart">{{ line.label }} {{ money(line.end) }}</text>
    </g>
    <text x="0" :y="HEIGHT + 20">{{ texts.today }}</text>
    <text :x="WIDTH" :y="HEIGHT + 20" text-anchor="end">{{ texts.yearsShort(drawing.years) }}</text>
  </svg>
</template>

<style scoped src="./picture.css"></style>
<style scoped>
.now .line {
  stroke: var(--silt);
  stroke-dasharray: 6 4;
}

.instead .line {
  stroke: var(--herb);
}
</style>
