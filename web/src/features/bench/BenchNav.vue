<script setup lang="ts">
import { texts } from './texts'
/** The benches side by side: sums, finding faults, comparing futures, and trying it at the tank. */
const BENCHES = [
  { name: 'bench', label: texts.sums },
  { name: 'cases', label: texts.trouble },
  { name: 'what-if', label: texts.whatIf },
  { name: 'trials', label: texts.trials },
  { name: 'compare', label: texts.compared },
]
</script>

<template>
  <nav class="flex flex-wrap gap-y-0 gap-x-4 mb-3" :aria-label="texts.benches">
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
