<script setup lang="ts">
import { texts } from './texts'
import StateTag from '@/shared/components/StateTag.vue'
import { mass } from '@/shared/units'
import { standingOf, whereWords, worthWords, type Piece } from './words'

/** A piece in a list: what it is, where, and what it is worth. */
defineProps<{ piece: Piece }>()
</script>

<template>
  <li class="edge-b-hair">
    <RouterLink
      class="grid cols-[1_auto] gap-y-2px gap-x-16px py-10px px-0 text-inherit font-400 no-underline max-phone:cols-1"
      :to="{ name: 'piece', params: { piece: piece.id } }"
    >
      <strong>{{ piece.name }}</strong>
      <span class="quiet">{{ texts.of(mass(piece.grams), piece.kindName) }}</span>
      <span class="small">{{ whereWords(piece) }}</span>
      <StateTag :standing="standingOf(piece)" :words="worthWords(piece)" />
    </RouterLink>
  </li>
</template>

<style scoped>
a:hover strong {
  text-decoration: underline;
}

a .small {
  grid-column: 1;
}

a :last-child {
  grid-row: 2;
  grid-column: 2;
  justify-self: end;
}

@media (width <= 640px) {
  a :last-child {
    grid-row: auto;
    grid-column: 1;
    justify-self: start;
  }
}
</style>
