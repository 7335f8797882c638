<script setup lang="ts">
import { texts } from './texts'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useTank, useTanks } from '@/features/tank'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import { addDays, today } from '@/shared/dates'
import AroundServices from './AroundServices.vue'
import { useLastTank } from './last'
import ReadingsTable from './ReadingsTable.vue'
import { useSeries, useWater } from './queries'
import WaterNow from './WaterNow.vue'

/** At the table: what readings say, before and after each service; at the tank: what holds, and what to read. */
const props = defineProps<{ tank: number }>()

const MonthStrip = defineAsyncComponent(() => import('./MonthStrip.vue'))
const RANGES = [
  { days: 30, label: texts.month },
  { days: 91, label: texts.quarter },
  { days: 365, label: texts.year },
  { days: 3652, label: texts.tenYears },
]

const tanks = useTanks()
const tank = useTank(() => props.tank)
const water = useWater(() => props.tank)
const days = ref(30)
const to = today()
const last = useLastTank()
const from = computed(() => addDays(to, -days.value))
watch(
  () => props.tank,
  (id) => {
    last.value = id
  },
  { immediate: true },
)

const series = useSeries(() => props.tank, from, to)
</script>

<template>
  <main class="page water">
    <AsyncState
      :pending="tank.isPending.value || water.isPending.value"
      :error="lacking(tank, water)"
      :what="texts.theWater"
      @retry="(tank.refetch(), water.refetch())"
    >
      <header class="flex flex-wrap gap-10px items-center justify-between">
        <h1>{{ texts.water2(tank.data.value?.tank.name ?? '') }}</h1>
        <LinkButton type="primary" :to="{ name: 'new-readings', params: { tank: props.tank } }">{{
          texts.takeReadings
        }}</LinkButton>
      </header>
      <nav
        v-if="(tanks.data.value?.length ?? 0) > 1"
        class="flex flex-wrap gap-6px my-10px"
        :aria-label="texts.tanks"
      >
        <RouterLink
          v-for="one in tanks.data.value"
          :key="one.id"
          :to="{ name: 'tank-water', params: { tank: one.id } }"
          class="chip inline-flex items-center min-h-44px py-1 px-3 edge-line rounded [background:none] text-ink font-400"
          :aria-current="one.id === props.tank ? 'page' : undefined"
          >{{ one.tank.name }}</RouterLink
        >
      </nav>
      <div
        class="grid cols-[1_330px] gap-36px mt-12px max-half:flex max-half:flex-col-reverse max-half:gap-18px"
      >
        <section aria-labelledby="strip">
          <div class="title flex flex-wrap gap-10px items-center justify-between">
            <h2 id="strip">{{ texts.readings2 }}</h2>
            <ChoiceRow
              v-model="days"
              :legend="texts.stretchOfTime"
              name="days"
              :choices="RANGES.map((range) => ({ value: range.days, label: range.label }))"
              bare
            />
          </div>
          <AsyncState
            :pending="series.isPending.value"
            :error="lacking(series)"
            :what="texts.theLines"
            @retry="series.refetch()"
          >
            <p v-if="series.data.value?.lines.length === 0" class="quiet empty">
              {{ texts.noReadingInThis }}
            </p>
            <template v-else-if="series.data.value">
              <MonthStrip :series="series.data.value" />
              <p class="small quiet key flex flex-wrap gap-y-1 gap-x-16px mb-18px">
                <span>{{ texts.kept }}</span> <span>{{ texts.belowDetection2 }}</span>
                <span>{{ texts.readEarlyAtLeast }}</span> <span>{{ texts.hold2 }}</span>
                <span>{{ texts.service3 }}</span>
                <span><i class="change text-stream not-italic">●</i> {{ texts.waterChange3 }}</span>
              </p>
            </template>
          </AsyncState>
          <AroundServices :tank="props.tank" />
          <h2>{{ texts.everyReading }}</h2>
          <ReadingsTable :tank="props.tank" />
        </section>
        <WaterNow v-if="water.data.value" :tank="props.tank" :water="water.data.value" />
      </div>
    </AsyncState>
  </main>
</template>

<style scoped>
.chip[aria-current] {
  border-color: var(--herb);
  background: var(--herb-soft);
  font-weight: 680;
}
</style>
