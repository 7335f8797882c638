<script setup lang="ts">
import { computed } from 'vue'
import { FINDINGS, gradeOf, type Finding } from '../words'

/** The same pad at one of five loadings. Small ones show the grade as a fill with its number. */
const props = withDefaults(defineProps<{ finding: Finding; size?: number; seen?: string }>(), {
  size: 88,
  seen: undefined,
})

const SIDE = 6
const SHUT = [1, 8, 18, 31, 36]
const HAZE = [0, 0.08, 0.28, 0.62, 1]
const FILL = [0, 0.26, 0.5, 0.76, 1]

const grade = computed(() => gradeOf(props.finding))
const words = computed(() =>
  [`${String(grade.value + 1)} ${FINDINGS[grade.value]?.label ?? ''}`, props.seen].filter(Boolean).join(': '),
)
/** Pores in a fixed scattered order, so that each grade keeps those of the grade before. */
const pores = Array.from({ length: SIDE * SIDE }, (_, i) => ({
  x: 16 + (i % SIDE) * 13.6,
  y: 16 + Math.floor(i / SIDE) * 13.6,
  order: (i * 23 + 7) % (SIDE * SIDE),
}))
</script>

<template>
  <svg v-if="size < 40" :width="size" :height="size" viewBox="0 0 26 26" role="img" :aria-label="words">
    <title>{{ words }}</title>
    <rect class="pad" x="2" y="2" width="22" height="22" rx="4" />
    <rect
      class="dirt"
      x="2"
      :y="24 - 22 * (FILL[grade] ?? 0)"
      width="22"
      :height="22 * (FILL[grade] ?? 0)"
      rx="3"
    />
    <rect class="rim" x="2" y="2" width="22" height="22" rx="4" />
    <circle class="disc" cx="13" cy="13" r="7.5" />
    <text x="13" y="17.4" text-anchor="middle">{{ grade + 1 }}</text>
  </svg>
  <svg v-else :width="size" :height="size" viewBox="0 0 100 100" role="img" :aria-label="words">
    <g :transform="finding === 'CLOGGED' ? 'translate(0 8)' : ''">
      <rect class="pad" x="6" y="6" width="88" height="84" rx="8" />
      <rect class="dirt" x="6" y="6" width="88" height="84" rx="8" :fill-opacity="HAZE[grade]" />
      <g v-if="finding !== 'CLOGGED'">
        <circle
          v-for="pore in pores"
          :key="pore.order"
          :class="pore.order < (SHUT[grade] ?? 0) ? 'shut' : 'pore'"
          :cx="pore.x"
          :cy="pore.y"
          r="4.6"
        />
      </g>
      <rect class="rim" x="6" y="6" width="88" height="84" rx="8" />
    </g>
    <path v-if="finding === 'CLOGGED'" class="round" d="M1 22C22-2 78-2 99 22" />
  </svg>
</template>

<style scoped>
.pad,
.disc {
  fill: var(--cell);
}

.dirt,
.shut {
  fill: var(--silt);
}

.pore {
  fill: var(--cell);
  stroke: var(--ink-quiet);
  stroke-opacity: 0.5;
}

.rim {
  fill: none;
  stroke: var(--line);
  stroke-width: 1.5;
}

.round {
  fill: none;
  stroke: var(--stream);
  stroke-width: 5;
  stroke-linecap: round;
}

text {
  font: 700 12.5px var(--text);
  fill: var(--ink);
}
</style>
