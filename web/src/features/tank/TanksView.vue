<script setup lang="ts">
import { texts } from './texts'
import { useStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useSession } from '@/features/account'
import { useSiteFilters } from '@/features/filter'
import { useForecasts } from '@/features/interval'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import { shortDay, today } from '@/shared/dates'
import { grouped, ofTank, type Order } from './order'
import { useDeletedTanks, useRestoreTank, useTanks } from './queries'
import TankRow from './TankRow.vue'

/** Both postures: how each tank is, at a glance. */
const { data: session } = useSession()
const tanks = useTanks()
const deleted = useDeletedTanks()
const filters = useSiteFilters()
const forecasts = useForecasts()
const restore = useRestoreTank()
const now = today()

const ORDERS: { value: Order; label: string }[] = [
  { value: 'ROOM', label: texts.byRoom },
  { value: 'NEED', label: texts.byNeed },
  { value: 'NAME', label: texts.byName },
]
const order = useStorage<Order>('chervil.tanks.order', 'ROOM')
const forecastsOf = computed(() => ofTank(forecasts.data.value ?? [], (one) => one.subject.tankId))
const filtersOf = computed(() => ofTank(filters.data.value ?? [], (one) => one.tankId))
const groups = computed(() => grouped(tanks.data.value ?? [], order.value, forecastsOf.value))
</script>

<template>
  <main class="page">
    <header class="titled">
      <h1>{{ texts.tanks }}</h1>
      <LinkButton type="primary" :to="{ name: 'new-tank' }">{{ texts.newTank }}</LinkButton>
    </header>
    <AsyncState
      :pending="tanks.isPending.value"
      :error="lacking(tanks, forecasts)"
      :what="texts.yourTanks"
      @retry="(tanks.refetch(), forecasts.refetch())"
    >
      <div v-if="tanks.data.value?.length === 0" class="max-w-520px mt-4">
        <p>
          {{ texts.noTanksYetThe }}
        </p>
        <LinkButton class="mt-3" type="primary" :to="{ name: 'new-tank' }">{{
          texts.addTheFirstTank
        }}</LinkButton>
      </div>
      <template v-else>
        <ChoiceRow v-model="order" :legend="texts.order" name="order" :choices="ORDERS" bare />
        <section v-for="group in groups" :key="group.title">
          <h2 v-if="group.title" class="quiet small mt-4 pb-1 edge-b-line font-400">{{ group.title }}</h2>
          <ul>
            <TankRow
              v-for="tank in group.tanks"
              :key="tank.id"
              :tank="tank"
              :filters="filtersOf(tank.id)"
              :forecasts="forecastsOf(tank.id)"
            />
          </ul>
        </section>
      </template>
      <details v-if="deleted.data.value?.length" class="max-w-520px mt-4">
        <summary>{{ texts.deletedLately }}</summary>
        <p v-for="tank in deleted.data.value" :key="tank.id">
          {{ texts.deleted2(tank.tank.name, shortDay((tank.deletedAt ?? now).slice(0, 10))) }}
          <el-button v-if="session?.role === 'KEEPER'" type="primary" text @click="restore.mutate(tank.id)">
            {{ texts.restore }}
          </el-button>
        </p>
      </details>
    </AsyncState>
  </main>
</template>
