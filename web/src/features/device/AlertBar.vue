<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useNow } from '@/shared/now'
import AlertLine from './AlertLine.vue'
import { useAlerts, useAlertWord, useDevices } from './queries'

/** Above every page while a device is alarmed: danger in full, the rest in a line. */
const MOST = 2

const route = useRoute()
const alerts = useAlerts()
const devices = useDevices()
const now = useNow()
useAlertWord()

const hushed = (until: string | undefined) => until !== undefined && Date.parse(until) > now.value
const standing = computed(() =>
  (alerts.data.value?.alerts ?? []).filter((one) => one.endedAt === undefined && !hushed(one.quietUntil)),
)
const loud = computed(() =>
  standing.value
    .filter((one) => one.danger || one.seenBy === undefined)
    .toSorted((one, other) => Number(other.danger) - Number(one.danger)),
)
const more = computed(() => loud.value.length - Math.min(MOST, loud.value.length))
</script>

<template>
  <section
    v-if="loud.length > 0 && route.name !== 'devices'"
    class="alerts pt-1 pb-2 px-24px edge-b-2-amber bg-surface max-phone:pt-1 max-phone:pb-2 max-phone:px-3 print:hidden"
    :class="{ danger: loud.some((one) => one.danger) }"
    role="alert"
    :aria-label="texts.alerts"
  >
    <AlertLine
      v-for="alert in loud.slice(0, MOST)"
      :key="alert.id"
      :alert="alert"
      :devices="devices.data.value ?? []"
      :now="now"
    />
    <RouterLink :to="{ name: 'devices' }" class="small all inline-flex items-center min-h-44px">
      {{ more > 0 ? texts.andMore(more) : texts.allDevices }}
    </RouterLink>
  </section>
</template>

<style scoped>
.danger {
  border-color: var(--brick);
}
</style>
