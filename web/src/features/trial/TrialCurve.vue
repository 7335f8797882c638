<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import type { Trial } from './queries'
import { riseWords, timesAWeek, wayWords } from './trials'

/** What each way lets a parameter rise, against the work it is: with its band, and where more work stops paying. */
const props = defineProps<{ trial: Trial }>()

const WIDTH = 560
const HEIGHT = 190
const LEFT = 56
const BOTTOM = 40
const TOP = 26

const points = computed(() => {
  const known = props.trial.ways
    .map((way, place) => ({ way, place, times: timesAWeek(way) }))
    .toSorted((a, b) => a.times - b.times)
  const rises = known.map(({ way }) => way.rise).filter((rise) => rise !== undefined)
  const low = Math.min(0, ...rises.map((rise) => rise.low))
  const high = Math.max(...rises.map((rise) => rise.high))
  const y = (value: number) => HEIGHT - BOTTOM - ((value - low) / (high - low || 1)) * (HEIGHT - BOTTOM - TOP)
  // Ways stand side by side: the work of a daily change and of one a fortnight would not fit one scale.
  const step = (WIDTH - LEFT - 60) / Math.max(1, known.length - 1)
  return known.flatMap(({ way, place }, i) =>
    way.rise
      ? [
          {
            place,
            x: LEFT + 30 + i * step,
            y: y(way.rise.perWeek),
            low: y(way.rise.low),
            high: y(way.rise.high),
            words: wayWords(way.days),
            value: riseWords(way.rise.perWeek, ''),
          },
        ]
      : [],
  )
})
const line = computed(() => points.value.map(({ x, y }) => `${String(x)},${String(y)}`).join(' '))
const told = computed(() =>
  points.value.map(({ words, value }) => `${words} ${value} ${props.trial.subject.unit}`).join(', '),
)
</script>

<template>
  <figure v-if="points.length > 2" class="w-full max-w-620px m-0">
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="img"
      :aria-label="texts.risesAWeek(trial.subject.parameter, told)"
    >
      <polyline class="fill-none stroke-line stroke-width-2" :points="line" />
      <g v-for="point in points" :key="point.place" :class="{ knee: point.place === trial.knee }">
        <line
          class="band stroke-silt stroke-width-5 stroke-cap-round op-45"
          :x1="point.x"
          :x2="point.x"
          :y1="point.low"
          :y2="point.high"
        />
        <circle class="fill-surface stroke-silt stroke-width-3" :cx="point.x" :cy="point.y" r="6" />
        <text class="value fill-ink text-13px" :x="point.x + 12" :y="point.y + 4">{{ point.value }}</text>
        <text class="words fill-ink text-13px [text-anchor:middle]" :x="point.x" :y="HEIGHT - 20">
          {{ point.words }}
        </text>
        <text
          v-if="point.place === trial.knee"
          class="words fill-ink text-13px [text-anchor:middle]"
          :x="point.x"
          :y="HEIGHT - 4"
        >
          {{ texts.worthItsWork }}
        </text>
      </g>
    </svg>
    <figcaption class="small quiet">
      {{ texts.risesAWeekIn(trial.subject.parameter, trial.subject.unit) }}
    </figcaption>
  </figure>
</template>

<style scoped>
.knee circle {
  fill: var(--herb);
  stroke: var(--herb);
}
</style>
