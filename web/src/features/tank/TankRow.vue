<script setup lang="ts">
import { computed } from 'vue'
import { MiniPath, type Filter } from '@/features/filter'
import type { Forecast } from '@/features/interval'
import StateTag from '@/shared/components/StateTag.vue'
import { today, windowWords } from '@/shared/dates'
import { standingWords } from '@/shared/standing'
import { say } from '@/shared/units'
import { labelOf, WATER } from '@/shared/words'
import { mostPressing } from './order'
import type { Tank } from './queries'

/** One tank at a glance: its filters as small water paths, and what asks first. */
const props = defineProps<{ tank: Tank; filters: Filter[]; forecasts: Forecast[] }>()

const now = today()
const next = computed(() => mostPressing(props.forecasts.filter((one) => !one.hold)))
/** What waits for a hold, if it would come before anything that can be done. */
const waiting = computed(() => {
  const held = mostPressing(props.forecasts.filter((one) => one.hold))
  return held && (!next.value || held.window.latest < next.value.window.latest) ? held : undefined
})
</script>

<template>
  <li>
    <div>
      <RouterLink class="name" :to="{ name: 'tank', params: { tank: tank.id } }">{{
        tank.tank.name
      }}</RouterLink>
      <p class="quiet small">
        {{ labelOf(WATER, tank.tank.setting.water) }}, {{ say('VOLUME', tank.tank.netVolumeL) }}
      </p>
    </div>
    <div class="paths">
      <div v-for="filter in filters" :key="filter.id">
        <MiniPath
          :name="filter.name"
          :stages="filter.stages"
          :forecasts="forecasts.filter((one) => one.subject.filterId === filter.id)"
        />
        <span class="small quiet">{{ filter.name }}</span>
      </div>
      <span v-if="filters.length === 0" class="quiet">No filter yet</span>
    </div>
    <div class="next">
      <p v-if="waiting"><StateTag standing="HELD" words="on hold" /> {{ waiting.subject.name }}</p>
      <template v-if="next">
        <StateTag :standing="next.standing" :words="standingWords(next.standing, next.window, now)" />
        <span>{{ next.subject.name }}</span>
        <span class="quiet small">{{ windowWords(next.window) }}</span>
      </template>
      <span v-else-if="!waiting" class="quiet">Nothing planned</span>
    </div>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr) 310px;
  gap: 6px 24px;
  align-items: center;
  min-height: 72px;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}

.name {
  font-size: 18px;
}

.paths {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}

.paths > div {
  display: grid;
}

.next {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: baseline;
}

@media (width <= 900px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
