<script setup lang="ts">
import { computed } from 'vue'
import { useBringBack, useSession } from '@/features/account'
import { addDays, longDay, today } from '@/shared/dates'

/** Above every page: that the site was deleted and can be brought back, or that a viewer only looks. */
const DAYS_OF_GRACE = 30
const { data: session } = useSession()
const back = useBringBack()
const here = computed(() => session.value?.places.find((place) => place.here))
const gone = computed(() => {
  const at = here.value?.deletedAt
  return at === undefined ? undefined : addDays(today(new Date(at)), DAYS_OF_GRACE)
})
</script>

<template>
  <p v-if="here && gone" class="notice" role="status">
    This site was deleted. On {{ longDay(gone) }} it is gone for good.
    <el-button :loading="back.isPending.value" @click="back.mutate(here.siteId)">Bring it back</el-button>
  </p>
  <p v-else-if="session?.role === 'VIEWER'" class="notice quiet">
    You are a viewer here: you can look at everything and change nothing.
  </p>
</template>

<style scoped>
.notice {
  margin: 0;
  padding: 8px 24px;
  border-bottom: 1px solid var(--line);
  background: var(--surface);
}
</style>
