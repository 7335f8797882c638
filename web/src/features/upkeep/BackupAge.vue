<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { agoWords, daysBetween, today } from '@/shared/dates'
import { useBackup } from './queries'

/** Under the site's name: how old the last backup is, and a warning when it is old or failed. */
const OLD_DAYS = 2
const backup = useBackup()

const made = computed(() => {
  const at = backup.data.value?.madeAt
  return at === undefined ? undefined : today(new Date(at))
})
const words = computed(() => {
  if (backup.data.value?.failedAt !== undefined) return texts.lastBackupFailed
  return made.value === undefined ? texts.noBackupYet : texts.backedUp(agoWords(made.value))
})
/** One that was never made is on its way; one that is old or failed is not. */
const warns = computed(
  () =>
    backup.data.value?.failedAt !== undefined ||
    (made.value !== undefined && daysBetween(made.value, today()) > OLD_DAYS),
)
</script>

<template>
  <span
    v-if="backup.data.value"
    class="block text-12.5px"
    :class="{ warns }"
    :title="backup.data.value.failure"
  >
    <template v-if="warns">! </template>{{ words }}
  </span>
</template>

<style scoped>
.warns {
  color: var(--amber);
  font-weight: 680;
}
</style>
