<script setup lang="ts">
import { texts } from './texts'
import { useQueryClient } from '@tanstack/vue-query'
import { onScopeDispose, ref } from 'vue'
import { isAway } from '@/shared/asking'
import { momentWords } from '@/shared/dates'

/** Above every page while the server is away: from when what is shown is, and that it is asked for again. */
const cache = useQueryClient().getQueryCache()
const since = ref<string>()

function look() {
  const old = cache
    .findAll({ type: 'active' })
    .filter(({ state }) => state.status === 'error' && state.data !== undefined && isAway(state.error))
  const oldest = Math.min(...old.map(({ state }) => state.dataUpdatedAt))
  since.value = old.length ? new Date(oldest).toISOString() : undefined
}
onScopeDispose(cache.subscribe(look))
look()
</script>

<template>
  <p v-if="since" class="py-2 px-24px edge-b-line bg-surface" role="status">
    {{ texts.awayShownFrom(momentWords(since)) }}
  </p>
</template>
