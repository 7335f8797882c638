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
  <nav aria-label="Benches">
    <RouterLink v-for="bench in BENCHES" :key="bench.name" :to="{ name: bench.name }">{{
      bench.label
    }}</RouterLink>
  </nav>
</template>

<style scoped>
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 0 22px;
  margin-bottom: 14px;
}

a {
  padding: 8px 0;
  color: var(--ink-quiet);
}

.router-link-exact-active {
  border-bottom: 3px solid var(--herb);
  color: var(--ink);
}
</style>
