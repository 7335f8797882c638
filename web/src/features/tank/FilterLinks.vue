<script setup lang="ts">
import type { Filter } from '@/features/filter'

/** What can be done with a filter from its tank's page. */
defineProps<{ tank: number; filter: Filter; isNew: boolean }>()
</script>

<template>
  <span class="links">
    <RouterLink class="small change" :to="{ name: 'edit-filter', params: { tank, filter: filter.id } }"
      >Change filter</RouterLink
    >
    <RouterLink class="small change" :to="{ name: 'inside-filter', params: { tank, filter: filter.id } }">{{
      filter.placesStated ? 'What sits where' : 'Say what sits where'
    }}</RouterLink>
    <RouterLink class="small change" :to="{ name: 'start-case', query: { tank, filter: filter.id } }"
      >Something is wrong</RouterLink
    >
    <RouterLink
      v-if="isNew"
      class="small change"
      :to="{ name: 'set-up', params: { tank, filter: filter.id } }"
      >Set it up, step by step</RouterLink
    >
  </span>
</template>

<style scoped>
.links {
  margin-left: auto;
}

.change + .change {
  margin-left: 14px;
}
</style>
