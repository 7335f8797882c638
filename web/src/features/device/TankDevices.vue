<script setup lang="ts">
import { texts } from './texts'
import { useQueryClient } from '@tanstack/vue-query'
import { useIntervalFn } from '@vueuse/core'
import { computed } from 'vue'
import { FORECASTS } from '@/features/interval'
import { useNow } from '@/shared/now'
import { useDevices } from './queries'
import { readingWords, sinceWords } from './words'

/** On a tank's page: what its devices read now. Nothing where there are none. */
const props = defineProps<{ tank: number }>()

const FILLS_EVERY = 20_000

const client = useQueryClient()
const devices = useDevices()
const now = useNow()
const here = computed(() => (devices.data.value ?? []).filter((one) => one.tankId === props.tank))

/** While a meter is in view its stages are seen to fill. */
useIntervalFn(() => {
  if (here.value.some((device) => device.kind === 'FLOW'))
    void client.invalidateQueries({ queryKey: FORECASTS })
}, FILLS_EVERY)
</script>

<template>
  <section v-if="here.length > 0" class="devices">
    <h2>{{ texts.devices }}</h2>
    <ul class="flex flex-wrap gap-y-6px gap-x-28px">
      <li
        v-for="device in here"
        :key="device.id"
        class="flex gap-2 items-center min-h-44px"
        :class="{ amiss: device.alarms.length > 0 }"
      >
        <RouterLink class="inline-flex items-center min-h-44px" :to="{ name: 'devices', query: { tank } }">{{
          device.name
        }}</RouterLink>
        <b v-if="device.value !== undefined">{{ readingWords(device.kind, device.value) }}</b>
        <span class="quiet small">{{
          device.valueAt ? sinceWords(device.valueAt, now) : texts.nothingHeardYet
        }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.amiss b {
  color: var(--brick);
}
</style>
