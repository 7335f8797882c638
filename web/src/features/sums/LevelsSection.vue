<script setup lang="ts">
import type { Drawing } from './picture'

/** A tank, sump or chamber in section: its water now and then, with marks. */
defineProps<{ drawing: Extract<Drawing, { kind: 'levels' }> }>()

const HEIGHT = 120
const y = (at: number) => 12 + HEIGHT * (1 - at)
</script>

<template>
  <svg :viewBox="`0 0 320 ${HEIGHT + 24}`">
    <rect
      class="before fill-stream [fill-opacity:0.3]"
      x="2"
      :y="y(drawing.water)"
      width="150"
      :height="HEIGHT * drawing.water"
    />
    <rect
      v-if="drawing.after !== undefined"
      class="after fill-stream [fill-opacity:0.75]"
      x="2"
      :y="y(drawing.after)"
      width="150"
      :height="HEIGHT * drawing.after"
    />
    <path class="glass" :d="`M2 8V${HEIGHT + 12}H152V8`" />
    <g v-for="mark in drawing.marks" :key="mark.label">
      <line
        class="stroke-ink stroke-width-1.5 stroke-dash-5_3"
        :class="mark.tone"
        x1="2"
        x2="166"
        :y1="y(mark.at)"
        :y2="y(mark.at)"
      />
      <text x="172" :y="y(mark.at) + 4">{{ mark.label }}</text>
    </g>
  </svg>
</template>

<style scoped src="./picture.css"></style>
<style scoped>
line.brick {
  stroke: var(--brick);
}
</style>
