<script setup lang="ts">
import { GLYPHS, type Glyph } from './pictures'

/** A small drawing beside words that say the same. */
defineProps<{ glyph: Glyph }>()
</script>

<template>
  <svg class="flex-none w-44px h-44px" viewBox="0 0 48 48" aria-hidden="true">
    <path
      class="fill-none [stroke:currentcolor] stroke-width-2.6 stroke-cap-round stroke-join-round"
      :d="GLYPHS[glyph]"
    />
  </svg>
</template>
