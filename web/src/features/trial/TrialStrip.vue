<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { today } from '@/shared/dates'
import type { Trial } from './queries'
import { placeOf, progressWords, wayWords } from './trials'

/** The turns of a trial in a row, each way hatched in its own direction, with a tick for each time the work was done. */
const props = defineProps<{ trial: Trial }>()

const WIDTH = 1000
/** Degrees by which the ways after the first are hatched. */
const HATCHES = [45, 0, 90, 135]
const turns = computed(() =>
  props.trial.turns.map((turn) => ({
    x: placeOf(props.trial, turn.from) * WIDTH,
    width: (placeOf(props.trial, turn.until) - placeOf(props.trial, turn.from)) * WIDTH,
    way: turn.way,
    words: wayWords(props.trial.ways[turn.way]?.days),
  })),
)
const ticks = computed(() => props.trial.services.map((day) => placeOf(props.trial, day) * WIDTH))
const now = computed(() => placeOf(props.trial, today()) * WIDTH)
</script>

<template>
  <svg
    class="w-full"
    :viewBox="`0 0 ${WIDTH} 56`"
    role="img"
    :aria-label="texts.doneTimes(progressWords(trial), trial.services.length)"
  >
    <defs>
      <pattern
        v-for="(turned, i) in HATCHES"
        :id="`hatch-${trial.id}-${i + 1}`"
        :key="turned"
        width="9"
        height="9"
        patternUnits="userSpaceOnUse"
        :patternTransform="`rotate(${turned})`"
      >
        <line class="stroke-silt-stipple stroke-width-5" x1="0" y1="0" x2="0" y2="9" />
      </pattern>
    </defs>
    <g v-for="turn in turns" :key="turn.x">
      <rect class="turn fill-surface stroke-line" :x="turn.x" y="4" :width="turn.width" height="24" />
      <rect
        v-if="turn.way > 0"
        :x="turn.x"
        y="4"
        :width="turn.width"
        height="24"
        :fill="`url(#hatch-${trial.id}-${turn.way})`"
      />
      <text
        v-if="turn.width > 70"
        class="words max-phone:hidden fill-ink-quiet text-13px [text-anchor:middle]"
        :x="turn.x + turn.width / 2"
        y="50"
      >
        {{ turn.words }}
      </text>
    </g>
    <line
      v-for="(x, i) in ticks"
      :key="i"
      class="tick stroke-silt stroke-width-2.4"
      :x1="x"
      :x2="x"
      y1="20"
      y2="34"
    />
    <path v-if="trial.state === 'RUNNING'" class="now stroke-herb stroke-width-2.6" :d="`M${now} 0v34`" />
  </svg>
</template>
