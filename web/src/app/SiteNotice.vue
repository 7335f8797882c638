<script setup lang="ts">
import { texts } from './texts'
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
  <p v-if="here && gone" class="py-2 px-24px edge-b-line bg-surface" role="status">
    {{ texts.thisSiteWasDeleted(longDay(gone)) }}
    <el-button :loading="back.isPending.value" @click="back.mutate(here.siteId)">{{
      texts.bringItBack
    }}</el-button>
  </p>
  <p v-else-if="session?.role === 'VIEWER'" class="quiet py-2 px-24px edge-b-line bg-surface">
    {{ texts.youAreAViewer }}
  </p>
</template>
