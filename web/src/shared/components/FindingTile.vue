<script setup lang="ts">
import { computed } from 'vue'
import { FINDINGS, gradeOf, type Finding } from '../words'
import PorePad from './PorePad.vue'

/** The same pad at one of five loadings. Small ones show the grade as a fill with its number. */
const props = withDefaults(defineProps<{ finding: Finding; size?: number; seen?: string }>(), {
  size: 88,
  seen: undefined,
})

const SHUT = [1, 8, 18, 31, 36]
const HAZE = [0, 0.08, 0.28, 0.62, 1]
const FILL = [0, 0.26, 0.5, 0.76, 1]

const grade = computed(() => gradeOf(props.finding))
const words = computed(() =>
  [`${String(grade.value + 1)} ${FINDINGS[grade.value]?.label ?? ''}`, props.seen].filter(Boolean).join(': '),
)
</script>

<template>
  <svg v-if="size < 40" :width="size" :height="size" viewBox="0 0 26 26" role="img" :aria-label="words">
    <title>{{ words }}</title>
    <rect class="pad fill-cell" x="2" y="2" width="22" height="22" rx="4" />
    <rect
      class="fill-silt"
      x="2"
      :y="24 - 22 * (FILL[grade] ?? 0)"
      width="22"
      :height="22 * (FILL[grade] ?? 0)"
      rx="3"
    />
    <rect class="fill-none stroke-line stroke-width-1.5" x="2" y="2" width="22" height="22" rx="4" />
    <circle class="fill-cell" cx="13" cy="13" r="7.5" />
    <text class="[font:700_12.5px_var(--text)] fill-ink" x="13" y="17.4" text-anchor="middle">
      {{ grade + 1 }}
    </text>
  </svg>
  <svg v-else :width="size" :height="size" viewBox="0 0 100 100" role="img" :aria-label="words">
    <PorePad :shut="SHUT[grade] ?? 0" :haze="HAZE[grade] ?? 0" :around="finding === 'CLOGGED'" />
  </svg>
</template>
