<script setup lang="ts">
import type { Drawing } from './picture'

/** Sheets and where each piece is cut, to scale. */
defineProps<{ drawing: Extract<Drawing, { kind: 'cut' }> }>()
</script>

<template>
  <svg
    v-for="(pieces, sheet) in drawing.sheets"
    :key="sheet"
    class="sheet"
    :viewBox="`-2 -2 ${drawing.w + 4} ${drawing.h + 4}`"
  >
    <rect class="foam" x="0" y="0" :width="drawing.w" :height="drawing.h" />
    <template v-if="drawing.round">
      <circle
        v-for="(piece, index) in pieces"
        :key="`round-${index}`"
        class="piece"
        :cx="piece.x + piece.w / 2"
        :cy="piece.y + piece.h / 2"
        :r="piece.w / 2"
      />
    </template>
    <rect
      v-for="(piece, index) in drawing.round ? [] : pieces"
      :key="index"
      class="piece"
      :x="piece.x"
      :y="piece.y"
      :width="piece.w"
      :height="piece.h"
    />
  </svg>
</template>

<style scoped>
.sheet {
  display: block;
  width: 100%;
  max-width: 420px;
  max-height: 340px;
  margin-bottom: 10px;
}

.foam {
  fill: var(--cell);
  stroke: var(--ink-quiet);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}

.piece {
  fill: var(--silt-stipple);
  stroke: var(--ink);
  vector-effect: non-scaling-stroke;
}

@media print {
  .sheet {
    max-height: 220px;
  }
}
</style>
