<script setup lang="ts">
/** Sums of the bench where their question arises. */
defineProps<{
  tank?: number
  /** By name, with the question as it is asked here. */
  sums: { name: string; question: string }[]
}>()
</script>

<template>
  <nav class="sums" aria-label="Sums">
    <RouterLink
      v-for="sum in sums"
      :key="sum.name"
      :to="{ name: 'sum', params: { sum: sum.name }, query: tank ? { tank } : {} }"
      >{{ sum.question }}</RouterLink
    >
  </nav>
</template>

<style scoped>
.sums {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 22px;
  margin-top: 22px;
}

a {
  padding: 8px 0;
}
</style>
