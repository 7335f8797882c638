<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { useMayGo } from '@/shared/allowed'
import { daysBetween, shortDay, type Day } from '@/shared/dates'
import { counted, lowerFirst } from '@/shared/words'
import type { Forecast } from './queries'

/** How a neglected filter is taken on: which work on which day, so that its bacteria are spared. */
const props = defineProps<{
  tank: number
  filter: { id: number; name: string }
  forecasts: Forecast[]
  today: Day
}>()
const mayGo = useMayGo()
const look = computed(() => ({
  name: 'look-over',
  params: { tank: props.tank, filter: props.filter.id },
}))

const visits = computed(() => {
  const byDay = new Map<Day, string[]>()
  const taken = props.forecasts
    .filter((forecast) => forecast.basis === 'TAKEN_ON')
    .toSorted((a, b) => a.window.ideal.localeCompare(b.window.ideal))
  for (const { window, subject } of taken)
    byDay.set(window.ideal, [...(byDay.get(window.ideal) ?? []), lowerFirst(subject.name)])
  return [...byDay].map(([day, work]) => ({ day, work: work.join(', ') }))
})
const weeks = computed(() => {
  const last = visits.value.at(-1)?.day
  return last ? Math.max(1, Math.round(daysBetween(props.today, last) / 7)) : 0
})
</script>

<template>
  <section
    v-if="visits.length > 1"
    class="mt-10px mb-16px py-10px px-3 edge-l-4-herb bg-herb-soft"
    :aria-label="texts.takingOn(filter.name)"
  >
    <h3>{{ texts.takingOnOver(filter.name, counted(weeks, 'week')) }}</h3>
    <p class="small quiet">
      {{ texts.nobodyCleanedItFor }}
    </p>
    <ol>
      <li v-for="visit in visits" :key="visit.day" class="py-3px">
        <b class="inline-block min-w-110px">{{
          visit.day <= today ? texts.now : texts.about(shortDay(visit.day, today))
        }}</b>
        {{ visit.work }}
      </li>
    </ol>
    <RouterLink v-if="mayGo(look)" :to="look">{{ texts.lookItOverFirst }}</RouterLink>
  </section>
</template>
