<script setup lang="ts">
import { texts } from './texts'
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { daysBetween, longDay, shortDay } from '@/shared/dates'
import { capacity, isPinned, lanes, workWords } from './plan'
import type { Plan, PlannedVisit } from './queries'

/** One line of days for each tank, so that what follows what on a tank is seen at once. */
const props = defineProps<{ plan: Plan; chosen?: string }>()
const emit = defineEmits<{ choose: [visit: PlannedVisit] }>()

const tanks = computed(() => {
  const rows = new Map<number, { tank: string; visits: PlannedVisit[] }>()
  for (const visit of props.plan.visits) {
    const row = rows.get(visit.tankId) ?? { tank: visit.tank, visits: [] }
    row.visits.push(visit)
    rows.set(visit.tankId, row)
  }
  return [...rows.values()]
    .sort((a, b) => a.tank.localeCompare(b.tank))
    .map(({ tank, visits }) => ({ tank, ...placed(visits) }))
})
const left = (on: string) =>
  `${String((100 * (daysBetween(props.plan.today, on) + 0.5)) / props.plan.days.length)}%`
const head = useTemplateRef('head')
const { width } = useElementSize(head)
const dayWidth = computed(() => (width.value || NARROW) / props.plan.days.length)
/** Never smaller than a finger needs. */
const size = (visit: PlannedVisit) => 24 + Math.min(10, visit.minutes / 8)
const LANE = 36
const NARROW = 700
const DATE = 56
/** Neighbours lie in lanes, as many as it takes, so that none covers another. */
const placed = (visits: PlannedVisit[]) => {
  const taken = lanes(
    visits.map((visit) => ({
      at: dayWidth.value * daysBetween(props.plan.today, visit.on),
      size: size(visit) + 2,
    })),
  )
  return {
    height: `${String(LANE * (1 + Math.max(0, ...taken)))}px`,
    visits: visits.map((visit, index) => ({
      visit,
      style: {
        left: left(visit.on),
        top: `${String(LANE * ((taken[index] ?? 0) + 0.5))}px`,
        width: `${String(size(visit))}px`,
        height: `${String(size(visit))}px`,
      },
    })),
  }
}
const spaced = (visit: PlannedVisit) => visit.tasks.some((task) => task.spaced)
/** Days that are named above, as far apart as their names need. */
const named = computed(() => {
  const weeks = Math.ceil(DATE / (7 * dayWidth.value))
  const room = props.plan.days.length - DATE / dayWidth.value
  return props.plan.days.filter((_, index) => index % (7 * weeks) === 0 && index <= room)
})
const away = computed(() => props.plan.days.filter((day) => capacity(day) === 0))
const wide = computed(() => `${String(100 / props.plan.days.length)}%`)
</script>

<template>
  <div class="rows">
    <div class="grid cols-[140px_1] items-center min-h-0 h-30px" aria-hidden="true">
      <span />
      <span ref="head" class="relative edge-b-line min-h-0 h-30px">
        <span
          v-for="day in named"
          :key="day.on"
          class="week small quiet absolute bottom-1 whitespace-nowrap [transform:translateX(-4px)]"
          :style="{ left: left(day.on) }"
          >{{ shortDay(day.on) }}</span
        >
      </span>
    </div>
    <section
      v-for="row in tanks"
      :key="row.tank"
      class="grid cols-[140px_1] items-center min-h-38px"
      :aria-label="row.tank"
    >
      <h3>{{ row.tank }}</h3>
      <span class="relative edge-b-line" :style="{ height: row.height }">
        <i
          v-for="day in away"
          :key="day.on"
          class="absolute top-0 bottom-0 bg-hair [transform:translateX(-50%)]"
          :style="{ left: left(day.on), width: wide }"
        />
        <button
          v-for="{ visit, style } in row.visits"
          :key="visit.id"
          type="button"
          class="dot absolute p-0 edge-2-herb rounded-50% bg-herb [transform:translate(-50%,-50%)] cursor-pointer"
          :class="{ chosen: visit.id === chosen, spaced: spaced(visit), pinned: isPinned(visit) }"
          :style="style"
          :title="texts.min4(longDay(visit.on), visit.minutes, workWords(visit))"
          :aria-label="
            texts.minutes2(
              longDay(visit.on),
              visit.minutes,
              workWords(visit),
              spaced(visit) ? texts.disturbsTheBacteria : '',
            )
          "
          @click="emit('choose', visit)"
        />
      </span>
    </section>
    <p class="small quiet">
      {{ texts.largerIsLongerA }}
    </p>
  </div>
</template>

<style scoped>
.spaced {
  background: var(--surface);
  border-width: 4px;
}

.pinned {
  border-radius: 3px;
}

.chosen {
  outline: 3px solid var(--ink);
  outline-offset: 2px;
}
</style>
