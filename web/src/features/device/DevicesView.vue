<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useRights } from '@/features/account'
import { lacking } from '@/shared/asking'
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
    <h1>{{ texts.devices }}</h1>
    <AsyncState
      :pending="devices.isPending.value"
      :error="lacking(devices)"
      :what="texts.theDevices"
      @retry="devices.refetch()"
    >
      <p v-if="shown.length === 0" class="quiet">
        {{ texts.noDeviceSpeaksHere }}
      </p>
      <div class="sides grid cols-[7_5] gap-48px items-start max-desk:cols-1 max-desk:gap-0">
        <div>
          <ul v-if="shown.length">
            <DeviceRow v-for="device in shown" :key="device.id" :device="device" :now="now" />
          </ul>
          <RouterLink v-if="tank !== undefined" :to="{ name: 'devices' }">{{
            texts.devicesOfAllTanks
          }}</RouterLink>
          <FitDevice v-if="mayKeep" />
        </div>
        <div>
          <section>
            <h2>{{ texts.alerts }}</h2>
            <AsyncState
              :pending="alerts.isPending.value"
              :error="lacking(alerts)"
              :what="texts.theAlerts"
              @retry="alerts.refetch()"
            >
              <p v-if="standing.length === 0" class="quiet">{{ texts.nothingIsAmiss }}</p>
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
