<script setup lang="ts">
import { computed } from 'vue'
import { useSession } from '@/features/account'
import { useSiteFilters } from '@/features/filter'
import { useForecasts, type Forecast } from '@/features/interval'
import AsyncState from '@/shared/components/AsyncState.vue'
import StateTag from '@/shared/components/StateTag.vue'
import { shortDay, today, windowWords } from '@/shared/dates'
import { standingWords } from '@/shared/standing'
import { withUnit } from '@/shared/units'
import { labelOf, WATER } from '@/shared/words'
import { useDeletedTanks, useRestoreTank, useTanks } from './queries'

/** Both postures: how each tank is, at a glance. */
const { data: session } = useSession()
const tanks = useTanks()
const deleted = useDeletedTanks()
const filters = useSiteFilters()
const forecasts = useForecasts()
const restore = useRestoreTank()
const now = today()

/** What asks first on each tank: the window that ends soonest. */
const nextByTank = computed(() => {
  const next = new Map<number, Forecast>()
  for (const forecast of forecasts.data.value ?? []) {
    const had = next.get(forecast.subject.tankId)
    if (!had || forecast.window.latest < had.window.latest) next.set(forecast.subject.tankId, forecast)
  }
  return next
})
const rooms = computed(() => {
  const grouped = new Map<string, NonNullable<typeof tanks.data.value>>()
  for (const tank of tanks.data.value ?? [])
    grouped.set(tank.tank.room, [...(grouped.get(tank.tank.room) ?? []), tank])
  return grouped
})
const filterNames = (tank: number) =>
  (filters.data.value ?? [])
    .filter((filter) => filter.tankId === tank)
    .map((filter) => filter.name)
    .join(', ')
</script>

<template>
  <main class="page">
    <header class="titled">
      <h1>Tanks</h1>
      <RouterLink class="button" :to="{ name: 'new-tank' }">New tank</RouterLink>
    </header>
    <AsyncState
      :pending="tanks.isPending.value"
      :error="tanks.error.value ?? forecasts.error.value"
      what="your tanks"
      @retry="(tanks.refetch(), forecasts.refetch())"
    >
      <div v-if="rooms.size === 0" class="empty">
        <p>
          No tank yet. The first takes under two minutes: its volume, its filter, and you see what is due
          when.
        </p>
        <RouterLink class="button" :to="{ name: 'new-tank' }">Add the first tank</RouterLink>
      </div>
      <section v-for="[room, inRoom] in rooms" :key="room">
        <h2 class="room quiet small">{{ room || 'No room' }}</h2>
        <ul>
          <li v-for="tank in inRoom" :key="tank.id">
            <RouterLink class="name" :to="{ name: 'tank', params: { tank: tank.id } }">{{
              tank.tank.name
            }}</RouterLink>
            <span class="quiet">
              {{ labelOf(WATER, tank.tank.setting.water) }},
              {{ withUnit(tank.tank.netVolumeL, 'L') }}
            </span>
            <span class="quiet">{{ filterNames(tank.id) || 'no filter yet' }}</span>
            <span v-if="nextByTank.get(tank.id)" class="next">
              <StateTag v-if="nextByTank.get(tank.id)!.hold" standing="LATER" words="leave alone for now" />
              <StateTag
                v-else
                :standing="nextByTank.get(tank.id)!.standing"
                :words="
                  standingWords(nextByTank.get(tank.id)!.standing, nextByTank.get(tank.id)!.window, now)
                "
              />
              {{ nextByTank.get(tank.id)!.subject.name }}
              <span class="quiet small">{{ windowWords(nextByTank.get(tank.id)!.window) }}</span>
            </span>
            <span v-else class="quiet">nothing planned</span>
          </li>
        </ul>
      </section>
      <details v-if="deleted.data.value?.length" class="deleted">
        <summary>Deleted lately</summary>
        <p v-for="tank in deleted.data.value" :key="tank.id">
          {{ tank.tank.name }}, deleted {{ shortDay((tank.deletedAt ?? now).slice(0, 10)) }}
          <button
            v-if="session?.role === 'KEEPER'"
            class="button plain"
            type="button"
            @click="restore.mutate(tank.id)"
          >
            Restore
          </button>
        </p>
      </details>
    </AsyncState>
  </main>
</template>

<style scoped>
.room {
  margin-top: var(--gap-4);
  padding-bottom: 4px;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
}

li {
  display: grid;
  grid-template-columns: 220px 170px 150px 1fr;
  gap: 4px 18px;
  align-items: center;
  min-height: 56px;
  border-bottom: 1px solid var(--hair);
}

.name {
  font-size: 18px;
}

.next {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: baseline;
}

.empty,
.deleted {
  max-width: 520px;
  margin-top: var(--gap-4);
}

.empty .button {
  margin-top: var(--gap-3);
}

@media (width <= 900px) {
  li {
    grid-template-columns: 1fr auto;
    padding: 10px 0;
  }

  .next {
    grid-column: 1 / -1;
  }
}
</style>
