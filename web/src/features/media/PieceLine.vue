<script setup lang="ts">
import StateTag from '@/shared/components/StateTag.vue'
import { mass } from '@/shared/units'
import { standingOf, whereWords, worthWords, type Piece } from './words'

/** A piece in a list: what it is, where, and what it is worth. */
defineProps<{ piece: Piece }>()
</script>

<template>
  <li>
    <RouterLink :to="{ name: 'piece', params: { piece: piece.id } }">
      <strong>{{ piece.name }}</strong>
      <span class="quiet">{{ mass(piece.grams) }} of {{ piece.kindName }}</span>
      <span class="small">{{ whereWords(piece) }}</span>
      <StateTag :standing="standingOf(piece)" :words="worthWords(piece)" />
    </RouterLink>
  </li>
</template>

<style scoped>
li {
  border-bottom: 1px solid var(--hair);
}

a {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 16px;
  padding: 10px 0;
  color: inherit;
  font-weight: 400;
  text-decoration: none;
}

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
  a {
    grid-template-columns: minmax(0, 1fr);
  }

  a :last-child {
    grid-row: auto;
    grid-column: 1;
    justify-self: start;
  }
}
</style>
