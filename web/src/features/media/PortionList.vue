<script setup lang="ts">
import { texts } from './texts'
import type { Schemas } from '@/shared/api/client'
import { datedDay } from '@/shared/dates'
import { mass } from '@/shared/units'

/** Portions in order, with what is done of them. */
defineProps<{ portions: Schemas['PortionView'][]; done: number }>()
</script>

<template>
  <ol class="list-none">
    <li
      v-for="(portion, i) in portions"
      :key="portion.on"
      class="flex gap-3 items-center py-6px"
      :class="{ done: i < done, next: i === done }"
    >
      <span
        class="mark grid [place-items:center] w-5 h-5 edge-2-line rounded-50% font-680"
        aria-hidden="true"
        >{{ i < done ? '✓' : i + 1 }}</span
      >
      <span>
        <b>{{ datedDay(portion.on) }}</b>
        <span class="quiet">
          {{ texts.out(mass(portion.grams))
          }}<template v-if="Math.abs(portion.freshGrams - portion.grams) > 0.5">{{
            texts.ofTheNewKind(mass(portion.freshGrams))
          }}</template
          ><span v-if="i < done" class="seen-by-readers">{{ texts.done }}</span>
        </span>
      </span>
    </li>
  </ol>
</template>

<style scoped>
.done .mark {
  color: var(--paper);
  background: var(--herb);
  border-color: var(--herb);
}

.next .mark {
  border-color: var(--herb);
}
</style>
