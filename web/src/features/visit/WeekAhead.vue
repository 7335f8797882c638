<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'
import { longDay, weekday } from '@/shared/dates'
import { counted } from '@/shared/words'

/** Minutes of the seven days after today, as planned. */
defineProps<{ week: Schemas['WeekDay'][] }>()

const PX_A_MINUTE = 0.5
const height = (minutes: number) => `${String(minutes && 6 + Math.min(minutes, 130) * PX_A_MINUTE)}px`
</script>

<template>
  <section class="ahead" aria-labelledby="ahead">
    <h3 id="ahead">Next seven days</h3>
    <ol>
      <li v-for="day in week" :key="day.on">
        <span class="seen-by-readers"
          >{{ longDay(day.on) }}: {{ counted(day.minutes, 'minute') }} on
          {{ counted(day.tanks, 'tank') }}</span
        >
        <span aria-hidden="true" class="num">{{ day.minutes || '' }}</span>
        <span
          aria-hidden="true"
          class="bar"
          :class="{ none: !day.minutes }"
          :style="{ height: height(day.minutes) }"
        />
        <span aria-hidden="true">{{ weekday(day.on) }}</span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.ahead {
  margin-top: 4px;
  padding-top: 12px;
  border-top: 1px solid var(--line);
}

ol {
  display: flex;
  gap: 10px;
  align-items: flex-end;
  min-height: 70px;
  margin-top: 6px;
}

li {
  display: flex;
  flex: 1;
  flex-direction: column;
  align-items: center;
  font-size: 13px;
  color: var(--ink-quiet);
}

.bar {
  width: 100%;
  margin-bottom: 3px;
  border-top: 3px solid var(--herb);
  background: var(--herb-soft);
}

.none {
  border-color: var(--hair);
}
</style>
