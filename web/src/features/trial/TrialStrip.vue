<script setup lang="ts">
import { computed } from 'vue'
import { today } from '@/shared/dates'
import type { Trial } from './queries'
import { everyWords, placeOf, progressWords, wayOf } from './trials'

/** The turns of a trial in a row, the other way hatched, with a tick for each time the work was done. */
const props = defineProps<{ trial: Trial }>()

const WIDTH = 1000
const turns = computed(() =>
  props.trial.turns.map((turn) => ({
    x: placeOf(props.trial, turn.from) * WIDTH,
    width: (placeOf(props.trial, turn.until) - placeOf(props.trial, turn.from)) * WIDTH,
    way: turn.way,
    words: everyWords(wayOf(props.trial, turn.way)?.days ?? 0),
  })),
)
const ticks = computed(() => props.trial.services.map((day) => placeOf(props.trial, day) * WIDTH))
const now = computed(() => placeOf(props.trial, today()) * WIDTH)
</script>

<template>
  <svg
    class="turns"
    :viewBox="`0 0 ${WIDTH} 56`"
    role="img"
    :aria-label="`${progressWords(trial)}; done ${trial.services.length} times`"
  >
    <defs>
      <pattern
        :id="`hatch-${trial.id}`"
        width="9"
        height="9"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <line class="hatch" x1="0" y1="0" x2="0" y2="9" />
      </pattern>
    </defs>
    <g v-for="turn in turns" :key="turn.x">
      <rect class="turn" :x="turn.x" y="4" :width="turn.width" height="24" />
      <rect
        v-if="turn.way === 'OTHER'"
        :x="turn.x"
        y="4"
        :width="turn.width"
        height="24"
        :fill="`url(#hatch-${trial.id})`"
      />
      <text class="words" :x="turn.x + turn.width / 2" y="50">{{ turn.words }}</text>
    </g>
    <line v-for="(x, i) in ticks" :key="i" class="tick" :x1="x" :x2="x" y1="20" y2="34" />
    <path v-if="trial.state === 'RUNNING'" class="now" :d="`M${now} 0v34`" />
  </svg>
</template>

<style scoped>
.turns {
  width: 100%;
}

.turn {
  fill: var(--surface);
  stroke: var(--line);
}

.hatch {
  stroke: var(--silt-stipple);
  stroke-width: 5;
}

.words {
  fill: var(--ink-quiet);
  font-size: 13px;
  text-anchor: middle;
}

.tick {
  stroke: var(--silt);
  stroke-width: 2.4;
}

.now {
  stroke: var(--herb);
  stroke-width: 2.6;
}
</style>
