<script setup lang="ts">
import { texts } from './texts'
import type { Schemas } from '@/shared/api/client'
import { longDay, weekday } from '@/shared/dates'
import { counted } from '@/shared/words'

/** Minutes of the seven days after today, as planned. */
defineProps<{ week: Schemas['WeekDay'][] }>()

const PX_A_MINUTE = 0.5
const height = (minutes: number) => `${String(minutes && 6 + Math.min(minutes, 130) * PX_A_MINUTE)}px`
</script>

<template>
  <section class="mt-1 pt-12px edge-t-line" aria-labelledby="ahead">
    <h3 id="ahead">{{ texts.nextSevenDays }}</h3>
    <ol class="flex gap-10px items-end min-h-70px mt-6px">
      <li
        v-for="day in week"
        :key="day.on"
        class="flex flex-1 flex-col items-center text-13px text-ink-quiet"
      >
        <span class="seen-by-readers">{{
          texts.on2(longDay(day.on), counted(day.minutes, 'minute'), counted(day.tanks, 'tank'))
        }}</span>
        <span aria-hidden="true" class="num">{{ day.minutes || '' }}</span>
        <span
          aria-hidden="true"
          class="bar w-full mb-3px edge-t-3-herb bg-herb-soft"
          :class="{ none: !day.minutes }"
          :style="{ height: height(day.minutes) }"
        />
        <span aria-hidden="true">{{ weekday(day.on) }}</span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.none {
  border-color: var(--hair);
}
</style>
