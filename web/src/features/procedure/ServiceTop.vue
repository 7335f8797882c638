<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { clockWords, offAdvice } from './progress'
import type { Guided } from './queries'

/** Where and how far; the filter-off clock; whether ticks wait for the server. */
const props = defineProps<{
  view: Guided
  place: number
  total: number
  /** ms; undefined while the filter runs */
  offSince?: number
  /** ms */
  now: number
  reachable: boolean
  waiting: number
}>()

const off = computed(() => (props.offSince === undefined ? undefined : props.now - props.offSince))
const advice = computed(() => offAdvice(off.value ?? 0))
</script>

<template>
  <header class="top">
    <h1 class="text-17px font-700">
      {{ view.place.tankName }}
      <span class="quiet font-400"
        >· {{ view.place.filterName }}{{ place ? texts.stepOf(place, total) : '' }}</span
      >
    </h1>
    <p v-if="!reachable" class="py-2px px-10px rounded-3px bg-amber-soft text-amber font-600" role="status">
      {{
        texts.noConnection(
          waiting
            ? texts.keptHereSentWhen(waiting, waiting === 1 ? texts.tick : texts.ticks)
            : texts.goOnTicksAre,
        )
      }}
    </p>
    <p v-if="off !== undefined" class="clock text-18px font-680" :class="advice.tone" role="timer">
      {{ texts.filterOff }} <span class="num">{{ clockWords(off) }}</span>
      <span v-if="advice.words" class="small">{{ advice.words }}</span>
    </p>
  </header>
</template>

<style scoped>
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  justify-content: space-between;
  align-items: center;
  padding: 14px 26px;
  border-bottom: 1px solid var(--line);
}

.due {
  color: var(--amber);
}

.late {
  color: var(--brick);
}

@media (width <= 640px) {
  .top {
    padding: 10px 16px;
  }
}
</style>
