<script setup lang="ts">
import { texts } from './texts'
import { useMayGo } from '@/shared/allowed'
import { computed, ref } from 'vue'
import { TaskSettingDialog, useFilters, WaterPath, type Filter, type Task } from '@/features/filter'
import { TakingOn, TankPauses, useForecasts, WhenList, type Forecast } from '@/features/interval'
import { HistoryList } from '@/features/visit'
import { TankHolds, TankWater } from '@/features/water'
import { FilterFacts, MediaFact } from '@/features/sums'
import { TankDevices } from '@/features/device'
import { TankCompared } from '@/features/compare'
import { TankMedia } from '@/features/media'
import { TankTrouble } from '@/features/trouble'
import SumLinks from '@/shared/components/SumLinks.vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import StateTag from '@/shared/components/StateTag.vue'
import { betweenWords, daysBetween, today } from '@/shared/dates'
import { useKeys } from '@/shared/keys'
import { say } from '@/shared/units'
import { labelOf, DIRECTION, FILTER_KIND } from '@/shared/words'
import { useRouter } from 'vue-router'
import { useChanges, useTank } from './queries'
import FilterLinks from './FilterLinks.vue'
import TankAdvice from './TankAdvice.vue'
import TankFacts from './TankFacts.vue'

/** Both postures: how this tank and each of its filters is, and what happened here. */
const props = defineProps<{ tank: number }>()

const router = useRouter()
const tank = useTank(() => props.tank)
const filters = useFilters(() => props.tank)
const forecasts = useForecasts(() => props.tank)
const changes = useChanges(() => props.tank)
const now = today()
const adjusting = ref<Task>()

/** What is done with an opening stands under it, also while the filter is only being taken on. */
function goesAlong(tasks: Task[], forecast: Forecast): boolean {
  const withOpening = tasks.find((task) => task.id === forecast.subject.taskId)?.withOpening
  return forecast.basis === 'WITH_OPENING' || (forecast.basis === 'TAKEN_ON' && withOpening === true)
}

const byFilter = computed(() =>
  (filters.data.value ?? []).map((filter) => {
    const all = (forecasts.data.value ?? []).filter((forecast) => forecast.subject.filterId === filter.id)
    const opening = all.find(
      (forecast) => filter.tasks.find((task) => task.id === forecast.subject.taskId)?.action === 'OPEN',
    )
    const rows = all
      .filter((forecast) => !goesAlong(filter.tasks, forecast))
      .toSorted((a, b) => a.window.ideal.localeCompare(b.window.ideal))
    return { filter, all, opening, rows, off: filter.tasks.filter((task) => task.mode === 'OFF') }
  }),
)
/** A filter that is new, or was started some days ago, can be set up step by step. */
const NEW_DAYS = 3
const isNew = (filter: Filter) =>
  filter.cleaned.sureness === 'EXACT' && daysBetween(filter.cleaned.on, now) <= NEW_DAYS

const allTasks = computed(() => (filters.data.value ?? []).flatMap((filter) => filter.tasks))
const adjust = (task: number) => (adjusting.value = allTasks.value.find((one) => one.id === task))

useKeys((key) => {
  if (key === 'e') void router.push({ name: 'edit-tank', params: { tank: props.tank } })
})
const mayGo = useMayGo()
</script>

<template>
  <main class="page">
    <AsyncState
      :pending="tank.isPending.value"
      :error="lacking(tank)"
      :what="texts.theTank"
      @retry="tank.refetch()"
    >
      <header v-if="tank.data.value" class="flex flex-wrap gap-y-1 gap-x-16px items-baseline">
        <h1>{{ tank.data.value.tank.name }}</h1>
        <div class="actions flex gap-2">
          <LinkButton type="primary" text :to="{ name: 'chores', params: { tank: props.tank } }">{{
            texts.chores
          }}</LinkButton>
          <LinkButton type="primary" text :to="{ name: 'edit-tank', params: { tank: props.tank } }">{{
            texts.change
          }}</LinkButton>
          <LinkButton type="primary" :to="{ name: 'log', params: { tank: props.tank } }">{{
            texts.logAService
          }}</LinkButton>
        </div>
      </header>
      <TankFacts v-if="tank.data.value" :tank="tank.data.value.tank" />
      <TankAdvice :tank="props.tank" />
      <TankHolds :tank="props.tank" />
      <TankTrouble :tank="props.tank" open />
      <TankDevices :tank="props.tank" />
      <AsyncState
        :pending="filters.isPending.value || forecasts.isPending.value"
        :error="lacking(filters, forecasts)"
        :what="texts.itsFilters"
        @retry="(filters.refetch(), forecasts.refetch())"
      >
        <section
          v-for="{ filter, all, opening } in byFilter"
          :key="filter.id"
          class="filter edge-t-line pt-12px pb-2"
          :aria-label="filter.name"
        >
          <div class="title flex flex-wrap gap-y-1 gap-x-16px items-baseline">
            <h2>{{ labelOf(FILTER_KIND, filter.kind) }} {{ filter.name }}</h2>
            <span v-if="filter.direction" class="quiet small">{{
              texts.waterRuns(labelOf(DIRECTION, filter.direction).toLowerCase())
            }}</span>
            <span v-if="filter.rating.flowLph" class="quiet small">{{
              texts.rated(say('FLOW', filter.rating.flowLph))
            }}</span>
            <StateTag
              v-if="opening"
              :standing="opening.standing"
              :words="texts.open(betweenWords(opening.window))"
            />
            <FilterLinks :tank="props.tank" :filter="filter" :is-new="isNew(filter)" />
          </div>
          <WaterPath :filter="filter" :forecasts="all" :today="now" />
          <FilterFacts :tank="props.tank" :filter="filter.id" />
        </section>
        <MediaFact :tank="props.tank" />
        <TankCompared :tank="props.tank" />
        <TankMedia :tank="props.tank" />
        <RouterLink
          v-if="mayGo({ name: 'new-filter', params: { tank: props.tank } })"
          class="add text-14px"
          :to="{ name: 'new-filter', params: { tank: props.tank } }"
          >{{ texts.addAFilter }}</RouterLink
        >
        <div class="grid cols-[1_380px] gap-36px mt-10px pt-12px edge-t-line max-desk:cols-1">
          <section aria-labelledby="when">
            <h2 id="when">{{ texts.when }}</h2>
            <p v-if="byFilter.length === 0" class="quiet">
              {{ texts.noFilterYetAdd }}
            </p>
            <template v-for="{ filter, rows, off } in byFilter" :key="filter.id">
              <h3 v-if="byFilter.length > 1" class="mt-3">{{ filter.name }}</h3>
              <TakingOn :tank="props.tank" :filter="filter" :forecasts="rows" :today="now" />
              <WhenList :forecasts="rows" :today="now" @adjust="adjust" />
              <p v-if="off.length" class="small quiet off">
                {{ texts.switchedOff }}
                <el-button
                  v-for="task in off"
                  :key="task.id"
                  class="text-14px min-h-32px"
                  type="primary"
                  text
                  @click="adjusting = task"
                >
                  {{ task.name }}
                </el-button>
              </p>
            </template>
            <TankPauses :tank="props.tank" :filters="byFilter.map(({ filter }) => filter)" />
          </section>
          <div>
            <HistoryList :tank="props.tank" :changes="changes.data.value ?? []" />
            <TankTrouble :tank="props.tank" />
          </div>
        </div>
        <SumLinks
          :tank="props.tank"
          :sums="[
            { name: 'need', question: texts.howMuchMediaDoes },
            { name: 'buckets', question: texts.isThereEnoughWater },
            { name: 'service', question: texts.whatDoesAYear },
          ]"
        />
      </AsyncState>
      <TankWater :tank="props.tank" />
    </AsyncState>
    <TaskSettingDialog :task="adjusting" @close="adjusting = undefined" />
  </main>
</template>
