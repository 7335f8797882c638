<script setup lang="ts">
import { texts } from './texts'
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
  <li
    class="grid cols-[190px_1_310px] gap-y-6px gap-x-24px items-center min-h-72px py-2 edge-b-hair max-half:cols-1"
  >
    <div>
      <RouterLink class="name text-18px" :to="{ name: 'tank', params: { tank: tank.id } }">{{
        tank.tank.name
      }}</RouterLink>
      <p class="quiet small">
        {{ labelOf(WATER, tank.tank.setting.water) }}, {{ say('VOLUME', tank.tank.netVolumeL) }}
      </p>
    </div>
    <div class="flex flex-wrap gap-y-1 gap-x-18px">
      <div v-for="filter in filters" :key="filter.id" class="grid">
        <MiniPath
          :name="filter.name"
          :stages="filter.stages"
          :forecasts="forecasts.filter((one) => one.subject.filterId === filter.id)"
        />
        <span class="small quiet">{{ filter.name }}</span>
      </div>
      <span v-if="filters.length === 0" class="quiet">{{ texts.noFilterYet }}</span>
    </div>
    <div class="next flex flex-wrap gap-y-2px gap-x-10px items-baseline">
      <p v-if="waiting"><StateTag standing="HELD" :words="texts.onHold" /> {{ waiting.subject.name }}</p>
      <template v-if="next">
        <StateTag :standing="next.standing" :words="standingWords(next.standing, next.window, now)" />
        <span>{{ next.subject.name }}</span>
        <span class="quiet small">{{ windowWords(next.window) }}</span>
      </template>
      <span v-else-if="!waiting" class="quiet">{{ texts.nothingPlanned }}</span>
    </div>
  </li>
</template>
