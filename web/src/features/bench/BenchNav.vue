<script setup lang="ts">
/** The benches side by side: sums, finding faults, comparing futures, and trying it at the tank. */
const BENCHES = [
  { name: 'bench', label: 'Sums' },
  { name: 'cases', label: 'Trouble' },
  { name: 'what-if', label: 'What if' },
  { name: 'trials', label: 'Trials' },
  { name: 'compare', label: 'Compared' },
]
</script>

<template>
  <nav class="flex flex-wrap gap-y-0 gap-x-4 mb-3" aria-label="Benches">
    <RouterLink
      v-for="bench in BENCHES"
      :key="bench.name"
      class="py-2 px-0 text-ink-quiet"
      :to="{ name: bench.name }"
      >{{ bench.label }}</RouterLink
    >
  </nav>
</template>

<style scoped>
.router-link-exact-active {
  border-bottom: 3px solid var(--herb);
  color: var(--ink);
}
</style>
