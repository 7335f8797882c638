<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import type { Sheet } from './template'

/** One page of a template in true millimetres: its part of the outline, crosses where pages overlap, its name; a bar on the first. */
const props = defineProps<{
  sheet: Sheet
  /** The piece in millimetres. */
  piece: { a: number; b: number; hole: number; round: boolean }
  overlap: number
}>()

const view = computed(() => props.sheet.view)
const isFirst = computed(() => props.sheet.row === 0 && props.sheet.column === 0)
const crosses = computed(() => {
  const { x, y, w, h } = view.value
  const half = props.overlap / 2
  return [
    [x + half, y + half],
    [x + w - half, y + half],
    [x + half, y + h - half],
    [x + w - half, y + h - half],
  ].map(([cx = 0, cy = 0]) => ({
    key: `${String(cx)} ${String(cy)}`,
    d: `M${String(cx - 3)} ${String(cy)}h6M${String(cx)} ${String(cy - 3)}v6`,
  }))
})
</script>

<template>
  <svg
    class="sheet"
    :style="{ width: `${view.w}mm`, height: `${view.h}mm` }"
    :viewBox="`${view.x} ${view.y} ${view.w} ${view.h}`"
    :aria-label="texts.page(sheet.name)"
    role="img"
  >
    <ellipse
      v-if="piece.round"
      class="cut"
      :cx="piece.a / 2"
      :cy="piece.b / 2"
      :rx="piece.a / 2"
      :ry="piece.b / 2"
    />
    <rect v-else class="cut" x="0.2" y="0.2" :width="piece.a - 0.4" :height="piece.b - 0.4" />
    <circle v-if="piece.hole" class="cut" :cx="piece.a / 2" :cy="piece.b / 2" :r="piece.hole / 2" />
    <path
      v-for="cross in crosses"
      :key="cross.key"
      class="fill-none [stroke:black] stroke-width-0.2"
      :d="cross.d"
    />
    <g v-if="isFirst" class="bar">
      <path class="fill-none [stroke:black] stroke-width-0.2" d="M14 24H114M14 21V27M114 21V27" />
      <text class="[fill:black] text-6px" x="64" y="33" text-anchor="middle">{{ texts.n100Mm }}</text>
    </g>
    <text class="[fill:black] text-6px" :x="view.x + view.w - 16" :y="view.y + 22">{{ sheet.name }}</text>
  </svg>
</template>

<style scoped>
.sheet {
  display: block;
  margin: 18px 0;
  background: white;
  outline: 1px solid var(--line);
  break-after: page;
}

.sheet:last-child {
  break-after: auto;
}

.cut {
  fill: none;
  stroke: black;
  stroke-width: 0.4;
}

@media print {
  .sheet {
    margin: 0;
    outline: none;
  }
}
</style>
