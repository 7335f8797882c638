<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { upperFirst } from '@/shared/words'
import type { Effect } from './queries'
import { placeOf, stretchOf } from './scale'

/** An effect drawn on the scale of how fast filters fill, and in words. */
const props = defineProps<{ effect: Effect }>()

const range = computed(() => stretchOf(props.effect.low, props.effect.high))
const percent = (share: number) => `${(share * 100).toFixed(1)}%`
</script>

<template>
  <li class="py-12px edge-b-hair">
    <h3>{{ upperFirst(effect.name) }}</h3>
    <div class="relative h-30px my-6px bg-hair" aria-hidden="true">
      <span class="absolute top-0 bottom-0 left-50% w-2px bg-ink-quiet" />
      <span
        class="range absolute top-6px bottom-6px bg-plum-soft edge-2-dashed-plum"
        :class="{ told: effect.told }"
        :style="{ left: percent(range.from), width: percent(range.width) }"
      />
      <span
        class="absolute top-0 bottom-0 w-1 -ml-2px bg-ink"
        :style="{ left: percent(placeOf(effect.ratio)) }"
      />
    </div>
    <p>{{ effect.words }}</p>
    <p class="small quiet">{{ texts.runsWithWithout(effect.with, effect.without) }}</p>
  </li>
</template>

<style scoped>
.range.told {
  background: var(--herb-soft);
  border: 2px solid var(--herb);
}
</style>
