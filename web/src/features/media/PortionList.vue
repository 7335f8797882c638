<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import { datedDay } from '@/shared/dates'
import { mass } from '@/shared/units'

/** Portions in order, with what is done of them. */
defineProps<{ portions: Schemas['PortionView'][]; done: number }>()
</script>

<template>
  <ol>
    <li v-for="(portion, i) in portions" :key="portion.on" :class="{ done: i < done, next: i === done }">
      <span class="mark" aria-hidden="true">{{ i < done ? '✓' : i + 1 }}</span>
      <span>
        <b>{{ datedDay(portion.on) }}</b>
        <span class="quiet">
          {{ mass(portion.grams) }} out<template v-if="Math.abs(portion.freshGrams - portion.grams) > 0.5"
            >, {{ mass(portion.freshGrams) }} of the new kind in</template
          ><span v-if="i < done" class="seen-by-readers">, done</span>
        </span>
      </span>
    </li>
  </ol>
</template>

<style scoped>
ol {
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 6px 0;
}

.mark {
  display: grid;
  place-items: center;
  width: 34px;
  height: 34px;
  border: 2px solid var(--line);
  border-radius: 50%;
  font-weight: 680;
}

.done .mark {
  color: var(--paper);
  background: var(--herb);
  border-color: var(--herb);
}

.next .mark {
  border-color: var(--herb);
}
</style>
