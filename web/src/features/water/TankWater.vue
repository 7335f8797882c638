<script setup lang="ts">
import { texts } from './texts'
import { computed, defineAsyncComponent } from 'vue'
import { lowerFirst } from '@/shared/words'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import { addDays, shortDay, today } from '@/shared/dates'
import { useSeries, useWater } from './queries'

/** On a tank's page: what is to be read, and the month. */
const props = defineProps<{ tank: number }>()

const MonthStrip = defineAsyncComponent(() => import('./MonthStrip.vue'))
const MONTH_DAYS = 30

const to = today()
const water = useWater(() => props.tank)
const series = useSeries(() => props.tank, addDays(to, -MONTH_DAYS), to)
const due = computed(() => water.data.value?.due ?? [])
</script>

<template>
  <section class="grid gap-2 mt-26px" aria-labelledby="tank-water">
    <div class="title flex flex-wrap gap-y-6px gap-x-18px items-baseline">
      <h2 id="tank-water">{{ texts.water }}</h2>
      <RouterLink :to="{ name: 'new-readings', params: { tank: props.tank } }">{{
        texts.takeReadings
      }}</RouterLink>
      <RouterLink :to="{ name: 'tank-water', params: { tank: props.tank } }">{{ texts.allOfIt }}</RouterLink>
    </div>
    <AsyncState
      :pending="water.isPending.value || series.isPending.value"
      :error="lacking(water, series)"
      :what="texts.theWater"
      @retry="(water.refetch(), series.refetch())"
    >
      <p v-for="one in due" :key="one.parameter">
        <b>{{ one.label }}</b>
        {{ texts.isToBeRead(shortDay(one.until), lowerFirst(one.why), shortDay(one.began)) }}
      </p>
      <p v-if="series.data.value?.lines.length === 0" class="quiet">{{ texts.noReadingsInThe }}</p>
      <MonthStrip v-else-if="series.data.value" :series="series.data.value" />
    </AsyncState>
  </section>
</template>
