<script setup lang="ts">
import { texts } from '../texts'
/** Sums of the bench where their question arises. */
defineProps<{
  tank?: number
  /** By name, with the question as it is asked here. */
  sums: { name: string; question: string }[]
}>()
</script>

<template>
  <nav class="flex flex-wrap gap-y-6px gap-x-4 mt-4" :aria-label="texts.sums">
    <RouterLink
      v-for="sum in sums"
      :key="sum.name"
      class="py-2 px-0"
      :to="{ name: 'sum', params: { sum: sum.name }, query: tank ? { tank } : {} }"
      >{{ sum.question }}</RouterLink
    >
  </nav>
</template>
