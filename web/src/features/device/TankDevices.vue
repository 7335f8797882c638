<script setup lang="ts">
import { computed } from 'vue'
import { useNow } from '@/shared/now'
import { useDevices } from './queries'
import { readingWords, sinceWords } from './words'

/** On a tank's page: what its devices read now. Nothing where there are none. */
const props = defineProps<{ tank: number }>()

const devices = useDevices()
const now = useNow()
const here = computed(() => (devices.data.value ?? []).filter((one) => one.tankId === props.tank))
</script>

<template>
  <section v-if="here.length > 0" class="devices">
    <h2>Devices</h2>
    <ul>
      <li v-for="device in here" :key="device.id" :class="{ amiss: device.alarms.length > 0 }">
        <RouterLink :to="{ name: 'devices', query: { tank } }">{{ device.name }}</RouterLink>
        <b v-if="device.value !== undefined">{{ readingWords(device.kind, device.value) }}</b>
        <span class="quiet small">{{
          device.valueAt ? sinceWords(device.valueAt, now) : 'nothing heard yet'
        }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 28px;
}

li {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 44px;
}

li a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}

.amiss b {
  color: var(--brick);
}
</style>
