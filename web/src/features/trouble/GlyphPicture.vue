<script setup lang="ts">
import { GLYPHS, type Glyph } from './pictures'

/** A small drawing beside words that say the same. */
defineProps<{ glyph: Glyph }>()
</script>

<template>
  <svg viewBox="0 0 48 48" aria-hidden="true"><path :d="GLYPHS[glyph]" /></svg>
</template>

<style scoped>
svg {
  flex: none;
  width: 44px;
  height: 44px;
}

path {
  fill: none;
  stroke: currentcolor;
  stroke-width: 2.6;
  stroke-linecap: round;
  stroke-linejoin: round;
}
</style>
