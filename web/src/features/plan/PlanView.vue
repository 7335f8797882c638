<script setup lang="ts">
import { texts } from './texts'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useRights } from '@/features/account'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import SelectField from '@/shared/components/SelectField.vue'
import type { Day } from '@/shared/dates'
import { useKeys } from '@/shared/keys'
import { wordsOf } from '@/shared/problem'
import { counted } from '@/shared/words'
import DayGrid from './DayGrid.vue'
import LoadStrip from './LoadStrip.vue'
import { capacity, hoursWords, itemsOf } from './plan'
import PlanNews from './PlanNews.vue'
import { useDecide, usePlan, useUndo, type Decision, type PlannedVisit } from './queries'
import TankRows from './TankRows.vue'
import VisitList from './VisitList.vue'
import VisitPanel from './VisitPanel.vue'

/** At the table: what comes in the next weeks, whether a day is too full, and what moving something would cost. */
const WEEKS = [4, 8, 13, 26]
const SHAPES = [
  { value: 'days', label: texts.byDay },
  { value: 'tanks', label: texts.byTank },
  { value: 'list', label: texts.list },
]

const route = useRoute()
const router = useRouter()
const weeks = computed(() => {
  const asked = Number(route.query.weeks ?? 8)
  return WEEKS.includes(asked) ? asked : 8
})
const shape = computed(() => String(route.query.as ?? 'days'))
const show = (query: Record<string, string>) => router.replace({ query: { ...route.query, ...query } })

const plan = usePlan(weeks)
const decision = useDecide(weeks)
const undoing = useUndo(weeks)
const error = ref('')
const { mayKeep } = useRights()
/** A calendar's visit leads here; one that is gone opens the plan alone. */
const chosenId = ref(typeof route.query.visit === 'string' ? route.query.visit : undefined)
const chosen = computed(() => plan.data.value?.visits.find((visit) => visit.id === chosenId.value))
const sum = (of: (day: NonNullable<typeof plan.data.value>['days'][number]) => number) =>
  plan.data.value?.days.reduce((total, day) => total + of(day), 0) ?? 0
const summary = computed(() => {
  const visits = plan.data.value?.visits.length ?? 0
  const work = hoursWords(sum((day) => day.minutes))
  return texts.visitsOfThePeople(counted(visits, 'visit'), work, hoursWords(sum(capacity)))
})

/** Where a visit was moved to: if its tank has one on that day already, the two become one, and that stays open. */
const landing = ref<{ tankId: number; on: Day }>()
watch(
  () => plan.data.value?.visits,
  (visits) => {
    const there = landing.value
    if (!there || chosen.value) return
    const one = visits?.find((visit) => visit.tankId === there.tankId && visit.on === there.on)
    if (one) chosenId.value = one.id
  },
)

function choose(visit: PlannedVisit) {
  landing.value = undefined
  chosenId.value = visit.id
  error.value = ''
}

async function decide(made: Decision) {
  error.value = ''
  const moved = chosen.value
  landing.value = moved && made.to ? { tankId: moved.tankId, on: made.to } : undefined
  try {
    await decision.mutateAsync(made)
  } catch (failure) {
    error.value = wordsOf(failure)
  }
}

async function move(visit: PlannedVisit, to: Day) {
  choose(visit)
  await decide({ items: itemsOf(visit), how: 'PIN', to })
}

async function undo() {
  error.value = ''
  await undoing.mutateAsync().catch((failure: unknown) => (error.value = wordsOf(failure)))
}

useKeys((key) => {
  if (key === 'u' && plan.data.value?.undo && mayKeep.value) void undo()
})
</script>

<template>
  <main class="plan">
    <AsyncState
      :pending="plan.isPending.value"
      :error="lacking(plan)"
      :what="texts.thePlan"
      @retry="plan.refetch()"
    >
      <div v-if="plan.data.value" class="main">
        <header>
          <h1>{{ texts.plan }}</h1>
          <p class="quiet">{{ summary }}</p>
          <div class="links">
            <RouterLink :to="{ name: 'plan-time' }">{{ texts.peoplesDays }}</RouterLink>
            <RouterLink :to="{ name: 'calendars' }">{{ texts.calendars }}</RouterLink>
          </div>
        </header>
        <div class="bar">
          <ChoiceRow
            :model-value="shape"
            :legend="texts.howToShowIt"
            name="shape"
            :choices="SHAPES"
            bare
            @update:model-value="(as) => show({ as })"
          />
          <SelectField
            class="weeks"
            :model-value="weeks"
            :label="texts.howFarAhead"
            name="weeks"
            :choices="WEEKS.map((count) => ({ value: count, label: texts.weeks(count) }))"
            bare
            @update:model-value="(count) => show({ weeks: String(count) })"
          />
          <el-button
            v-if="plan.data.value.undo && mayKeep"
            type="primary"
            text
            :disabled="undoing.isPending.value"
            @click="undo"
          >
            {{ texts.undo(plan.data.value.undo) }}
          </el-button>
        </div>
        <p v-if="error && !chosen" class="error" role="alert">{{ error }}</p>
        <p v-if="plan.data.value.visits.length === 0" class="quiet">
          {{ texts.nothingToPlanYet }}
        </p>
        <template v-else>
          <LoadStrip :days="plan.data.value.days" />
          <TankRows v-if="shape === 'tanks'" :plan="plan.data.value" :chosen="chosenId" @choose="choose" />
          <VisitList
            v-else-if="shape === 'list'"
            :plan="plan.data.value"
            :chosen="chosenId"
            @choose="choose"
          />
          <DayGrid
            v-else
            :plan="plan.data.value"
            :chosen="chosenId"
            :still="!mayKeep"
            @choose="choose"
            @move="move"
          />
        </template>
      </div>
      <aside v-if="plan.data.value">
        <VisitPanel
          v-if="chosen"
          :visit="chosen"
          :weeks="plan.data.value.weeks"
          :sending="decision.isPending.value"
          :error="error"
          @decide="decide"
          @close="chosenId = undefined"
        />
        <PlanNews v-else :plan="plan.data.value" />
      </aside>
    </AsyncState>
  </main>
</template>

<style scoped src="./plan.css"></style>
