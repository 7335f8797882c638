<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useRights } from '@/features/account'
import AsyncState from '@/shared/components/AsyncState.vue'
import { useNow } from '@/shared/now'
import AlertLine from './AlertLine.vue'
import AlertMail from './AlertMail.vue'
import DeviceRow from './DeviceRow.vue'
import FitDevice from './FitDevice.vue'
import { useAlerts, useDevices } from './queries'
import StandIns from './StandIns.vue'

/** At the table: what devices read, what they are alarmed about, and how one is fitted. */
const route = useRoute()
const devices = useDevices()
const alerts = useAlerts()
const now = useNow()
const { mayKeep } = useRights()

const tank = computed(() => (route.query.tank === undefined ? undefined : Number(route.query.tank)))
const shown = computed(() =>
  (devices.data.value ?? []).filter((one) => tank.value === undefined || one.tankId === tank.value),
)
const standing = computed(() => (alerts.data.value?.alerts ?? []).filter((one) => one.endedAt === undefined))
const past = computed(() => (alerts.data.value?.alerts ?? []).filter((one) => one.endedAt !== undefined))
</script>

<template>
  <main class="page">
    <h1>Devices</h1>
    <AsyncState
      :pending="devices.isPending.value"
      :error="devices.error.value"
      what="the devices"
      @retry="devices.refetch()"
    >
      <p v-if="shown.length === 0" class="quiet">
        No device speaks here yet. A flow meter, a leak sensor, a plug, a probe, a level switch, a lamp
        counter or a button can tell what you would have to look for.
      </p>
      <div class="sides grid cols-[7_5] gap-48px items-start max-desk:cols-1 max-desk:gap-0">
        <div>
          <ul v-if="shown.length">
            <DeviceRow v-for="device in shown" :key="device.id" :device="device" :now="now" />
          </ul>
          <RouterLink v-if="tank !== undefined" :to="{ name: 'devices' }">Devices of all tanks</RouterLink>
          <FitDevice v-if="mayKeep" />
        </div>
        <div>
          <section>
            <h2>Alerts</h2>
            <AsyncState
              :pending="alerts.isPending.value"
              :error="alerts.error.value"
              what="the alerts"
              @retry="alerts.refetch()"
            >
              <p v-if="standing.length === 0" class="quiet">Nothing is amiss.</p>
              <AlertLine
                v-for="alert in [...standing, ...past]"
                :key="alert.id"
                :alert="alert"
                :devices="devices.data.value ?? []"
                :now="now"
              />
            </AsyncState>
          </section>
          <StandIns />
          <AlertMail />
        </div>
      </div>
    </AsyncState>
  </main>
</template>

<style scoped>
section,
.sides :deep(section) {
  margin-top: var(--gap-5);
}

.sides > div > :deep(section:first-child) {
  margin-top: 0;
}

.sides :deep(h2) {
  margin-bottom: var(--gap-2);
}
</style>
