<script setup lang="ts">
import { computed } from 'vue'
import { lastsWords, LINE_WEEKS, lineOf } from './stores'
import type { StockItem } from './queries'

/** How long a shelf lasts: a silt bar from today over half a year, with a mark at the last day to order. */
const props = defineProps<{ item: StockItem }>()

const WIDTH = 260
const BAR = 8
const line = computed(() => lineOf(props.item))
const months = Array.from({ length: 5 }, (_, i) => ((i + 1) * 30.44 * WIDTH) / (LINE_WEEKS * 7))
</script>

<template>
  <svg
    v-if="line"
    class="w-full max-w-268px"
    :viewBox="`0 0 ${WIDTH + 8} 26`"
    role="img"
    :aria-label="lastsWords(item)"
  >
    <line class="stroke-line" x1="0" :x2="WIDTH" y1="20" y2="20" />
    <line v-for="x in months" :key="x" class="stroke-line" :x1="x" :x2="x" y1="17" y2="20" />
    <rect class="fill-silt" x="0" :y="20 - BAR - 2" :width="Math.max(2, line.end * WIDTH)" :height="BAR" />
    <path v-if="line.end >= 1" class="fill-silt" :d="`M${WIDTH} ${18 - BAR}l8 ${BAR / 2}l-8 ${BAR / 2}z`" />
    <path
      v-if="line.order !== undefined"
      class="fill-ink stroke-ink stroke-width-1.6"
      :d="`M${line.order * WIDTH} 3v19m-4-19h8l-4 5z`"
      data-mark="order"
    />
  </svg>
</template>
