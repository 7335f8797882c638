<script setup lang="ts">
import { computed } from 'vue'
import type { Drawing } from './picture'

/** Values on one scale: a thermometer standing up, or a bar lying down. */
const props = defineProps<{ drawing: Extract<Drawing, { kind: 'scale' }> }>()

const LENGTH = 300
const ROW = 16
const spread = computed(() => {
  const { low, high, marks } = props.drawing
  return marks
    .map((mark) => ({ ...mark, share: (mark.at - low) / (high - low || 1) }))
    .toSorted((a, b) => a.share - b.share)
})
/** Labels stand apart even where values lie together. */
const upright = computed(() => {
  let last = Number.POSITIVE_INFINITY
  return spread.value.map((mark) => {
    const at = 130 - mark.share * 118
    last = Math.min(at, last - ROW)
    return { ...mark, y: at, text: last }
  })
})
</script>

<template>
  <svg v-if="drawing.upright" viewBox="0 -16 320 166">
    <rect class="fill-cell stroke-line" x="10" y="6" width="12" height="130" rx="6" />
    <g v-for="mark in upright" :key="mark.label">
      <circle class="stroke-surface stroke-width-1.5" :class="mark.tone" cx="16" :cy="mark.y" r="6" />
      <path class="fill-none stroke-line" :d="`M24 ${mark.y}L40 ${mark.text}`" />
      <text x="44" :y="mark.text + 4">{{ mark.label }}</text>
    </g>
  </svg>
  <svg v-else :viewBox="`0 0 320 ${30 + ROW * spread.length}`">
    <rect class="fill-cell stroke-line" x="2" y="8" :width="LENGTH" height="8" rx="4" />
    <g v-for="(mark, index) in spread" :key="mark.label">
      <path class="fill-none stroke-line" :d="`M${2 + mark.share * LENGTH} 16V${24 + ROW * index}`" />
      <circle
        class="stroke-surface stroke-width-1.5"
        :class="mark.tone"
        :cx="2 + mark.share * LENGTH"
        cy="12"
        r="6"
      />
      <text
        :x="2 + mark.share * LENGTH"
        :y="34 + ROW * index"
        :text-anchor="mark.share > 0.6 ? 'end' : 'start'"
      >
        {{ mark.label }}
      </text>
    </g>
  </svg>
</template>

<style scoped src="./picture.css"></style>
<style scoped>
circle.quiet {
  fill: var(--ink-quiet);
}
</style>
