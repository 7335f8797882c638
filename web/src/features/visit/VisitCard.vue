<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { lowerFirst } from '@/shared/words'
import LinkButton from '@/shared/components/LinkButton.vue'
import StateTag from '@/shared/components/StateTag.vue'
import WindowLine from '@/shared/components/WindowLine.vue'
import { longDay, shortDay, type Day } from '@/shared/dates'
import { overdueWords } from '@/shared/standing'
import ChoreLine from './ChoreLine.vue'
import type { Visit } from './queries'

/** The work on one tank: each task with its window and why, inner work of a canister under its opening. */
const props = defineProps<{ visit: Visit; today: Day }>()

const rows = computed(() => {
  const { errands } = props.visit
  const openings = new Set(errands.filter((one) => one.reach === 'OPENING').map((one) => one.filter.id))
  const inner = (errand: (typeof errands)[number]) =>
    errand.reach === 'INSIDE' && openings.has(errand.filter.id)
  return errands
    .filter((errand) => !inner(errand))
    .map((errand) => ({
      errand,
      within:
        errand.reach === 'OPENING'
          ? errands.filter((one) => inner(one) && one.filter.id === errand.filter.id)
          : [],
    }))
})
const words = computed(() => {
  const days = props.visit.effort.daysLate
  if (days > 0) return overdueWords(days)
  return props.visit.standing === 'DUE' ? 'due' : 'planned'
})
/** What the plan keeps for a later visit, such as a week after the bacteria were last disturbed. */
const isLater = (errand: Visit['errands'][number]) =>
  errand.plannedOn !== undefined && errand.plannedOn > (props.visit.plannedOn ?? props.today)
const tasks = computed(() =>
  props.visit.errands
    .filter((errand) => !isLater(errand))
    .map((errand) => errand.taskId)
    .join(','),
)
const several = computed(() => new Set(props.visit.errands.map((errand) => errand.filter.id)).size > 1)
</script>

<template>
  <article
    class="visit grid cols-[1_auto] gap-16px pt-12px pb-13px edge-t-line max-phone:gap-2"
    :aria-label="visit.tank.name"
  >
    <div>
      <h2 class="flex flex-wrap gap-y-1 gap-x-10px items-center">
        <RouterLink class="tank text-ink" :to="{ name: 'tank', params: { tank: visit.tank.id } }">{{
          visit.tank.name
        }}</RouterLink>
        <StateTag :standing="visit.standing" :words="words" />
      </h2>
      <p v-if="visit.plannedOn && visit.plannedOn !== today" class="small quiet">
        {{ texts.plannedFor(longDay(visit.plannedOn)) }}
      </p>
      <p v-else-if="visit.person" class="small quiet">{{ texts.plannedTodayFor(visit.person) }}</p>
      <ChoreLine
        v-for="chore in visit.chores"
        :key="chore.kind"
        :tank="visit.tank.id"
        :chore="chore"
        :today="today"
      />
      <div v-for="{ errand, within } in rows" :key="errand.taskId" class="task">
        <span>
          {{ errand.name
          }}<span v-if="several && errand.reach !== 'OPENING'" class="quiet">
            {{ texts.of2(errand.filter.name) }}</span
          >
          <span v-if="isLater(errand)" class="small quiet block">{{
            texts.betterOnAsPlanned(shortDay(errand.plannedOn ?? today))
          }}</span>
          <span v-if="within.length" class="small quiet block">{{
            within.map((one) => lowerFirst(one.name)).join(', ')
          }}</span>
        </span>
        <WindowLine
          :window="errand.window"
          :standing="errand.standing"
          :today="today"
          :before="12"
          :after="14"
          :focus="10"
        />
        <details class="why small quiet">
          <summary class="cursor-pointer">{{ errand.reasons[0] }}</summary>
          <p v-for="reason in errand.reasons.slice(1)" :key="reason">{{ reason }}</p>
        </details>
      </div>
    </div>
    <div class="text-right">
      <LinkButton
        v-if="visit.errands.length"
        type="primary"
        :to="{ name: 'prepare', params: { tank: visit.tank.id }, query: { tasks } }"
      >
        {{ texts.start }}<span class="seen-by-readers"> {{ texts.on(visit.tank.name) }}</span>
      </LinkButton>
      <RouterLink
        v-if="visit.errands.length"
        class="small log block mt-2"
        :to="{ name: 'log', params: { tank: visit.tank.id }, query: { tasks } }"
      >
        {{ texts.onlyLog }}<span class="seen-by-readers"> {{ visit.tank.name }}</span>
      </RouterLink>
      <p class="small quiet mt-5px">
        <span class="num">{{ visit.effort.minutes }}</span> {{ texts.min4 }}
      </p>
    </div>
  </article>
</template>

<style scoped>
.task {
  display: grid;
  grid-template-columns: 250px 210px minmax(0, 1fr);
  gap: 0 18px;
  align-items: center;
  min-height: 38px;
}

@media (width <= 1000px) {
  .task {
    grid-template-columns: minmax(0, 1fr) 210px;
  }

  .task > :nth-child(3) {
    grid-column: 1 / -1;
  }
}

@media (width <= 640px) {
  .task {
    grid-template-columns: 1fr;
    padding: 8px 0 4px;
  }
}
</style>
