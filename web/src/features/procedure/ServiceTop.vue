<script setup lang="ts">
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
    <h1>
      {{ view.place.tankName }}
      <span class="quiet">· {{ view.place.filterName }}{{ place ? `, step ${place} of ${total}` : '' }}</span>
    </h1>
    <p v-if="!reachable" class="offline" role="status">
      No connection.
      {{
        waiting
          ? `${waiting} ${waiting === 1 ? 'tick' : 'ticks'} kept here, sent when it is back.`
          : 'Go on; ticks are kept here.'
      }}
    </p>
    <p v-if="off !== undefined" class="clock" :class="advice.tone" role="timer">
      Filter off <span class="num">{{ clockWords(off) }}</span>
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

h1 {
  font-size: 17px;
  font-weight: 700;
}

h1 .quiet {
  font-weight: 400;
}

.clock {
  font-size: 18px;
  font-weight: 680;
}

.due {
  color: var(--amber);
}

.late {
  color: var(--brick);
}

.offline {
  padding: 2px 10px;
  border-radius: 3px;
  background: var(--amber-soft);
  color: var(--amber);
  font-weight: 600;
}

@media (width <= 640px) {
  .top {
    padding: 10px 16px;
  }
}
</style>
