<script setup lang="ts">
import type { Drawing } from './picture'

/** Sheets and where each piece is cut, to scale. */
defineProps<{ drawing: Extract<Drawing, { kind: 'cut' }> }>()
</script>

<template>
  <svg
    v-for="(pieces, sheet) in drawing.sheets"
    :key="sheet"
    class="sheet block w-full max-w-420px max-h-340px mb-10px print:max-h-220px"
    :viewBox="`-2 -2 ${drawing.w + 4} ${drawing.h + 4}`"
  >
    <rect
      class="fill-cell stroke-ink-quiet stroke-width-2 stroke-still"
      x="0"
      y="0"
      :width="drawing.w"
      :height="drawing.h"
    />
    <template v-if="drawing.round">
      <circle
        v-for="(piece, index) in pieces"
        :key="`round-${index}`"
        class="piece fill-silt-stipple stroke-ink stroke-still"
        :cx="piece.x + piece.w / 2"
        :cy="piece.y + piece.h / 2"
        :r="piece.w / 2"
      />
    </template>
    <rect
      v-for="(piece, index) in drawing.round ? [] : pieces"
      :key="index"
      class="piece fill-silt-stipple stroke-ink stroke-still"
      :x="piece.x"
      :y="piece.y"
      :width="piece.w"
      :height="piece.h"
    />
  </svg>
</template>
