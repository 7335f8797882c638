<script setup lang="ts">
import { texts } from './texts'
import { refDebounced } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useSiteFilters, type Filter, type Task } from '@/features/filter'
import { useTanks } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import SelectField from '@/shared/components/SelectField.vue'
import { today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import LayoutFields from './LayoutFields.vue'
import { useBeginTrial, useForethought, useTrials } from './queries'
import { emptyTrial, fromTrial, keepsOneEach, toTrial, type Watched } from './trial-form'
import { forethoughtWords } from './trials'
import WayFields from './WayFields.vue'
import { stageWord } from '@/shared/words'
import { newId } from '@/shared/ids'

/** At the table: which task, which ways of doing it, and how long they take turns. */
const router = useRouter()
const tanks = useTanks()
const filters = useSiteFilters()
const begin = useBeginTrial()
const { sending, errors, trouble, send, refuse } = useSending()
const PAUSE_MS = 400
const form = ref(emptyTrial())
const id = newId()

const tasks = computed(() =>
  (filters.data.value ?? [])
    .filter((filter) => String(filter.tankId) === form.value.tank)
    .flatMap((filter) =>
      filter.tasks
        .filter((task) => task.mode !== 'OFF' && !task.withOpening)
        .map((task) => ({ value: String(task.id), label: `${task.name}, ${filter.name}` })),
    ),
)
/** What can be read beside it. */
const WATCHED: { value: Watched; label: string }[] = [
  { value: 'NITRATE', label: texts.nitrate },
  { value: 'PHOSPHATE', label: texts.phosphate },
  { value: 'AMMONIA', label: texts.ammonia },
  { value: 'PH', label: 'pH' },
  { value: 'KH', label: texts.carbonateHardness },
]
const kindOf = (filter: Filter, task: Task) => filter.stages.find((one) => one.id === task.stageId)?.kind
const chosen = computed(() => {
  const id = Number(form.value.task)
  const filter = filters.data.value?.find((one) => one.tasks.some((task) => task.id === id))
  const task = filter?.tasks.find((one) => one.id === id)
  return filter && task ? { kind: kindOf(filter, task), action: task.action, tank: filter.tankId } : undefined
})
/** Whether a filter runs without what the task is done to. */
const canBeLeftOut = computed(
  () => chosen.value?.kind !== undefined && stageWord(chosen.value.kind).canBeLeftOut,
)
/** The same task on other tanks, one each. */
const others = computed(() =>
  (tanks.data.value ?? [])
    .filter((one) => chosen.value && one.id !== chosen.value.tank)
    .flatMap((one) => {
      const like = (filters.data.value ?? [])
        .filter((filter) => filter.tankId === one.id)
        .flatMap((filter) => filter.tasks.filter((task) => isLike(filter, task)))[0]
      return like ? [{ task: like.id, tank: one.tank.name }] : []
    }),
)

function isLike(filter: Filter, task: Task): boolean {
  return (
    task.mode !== 'OFF' &&
    !task.withOpening &&
    task.action === chosen.value?.action &&
    kindOf(filter, task) === chosen.value.kind
  )
}

/** The trial as typed, once it is whole. */
const whole = computed(() => {
  const { input, errors: amiss } = toTrial(form.value)
  return Object.keys(amiss).length || keepsOneEach(form.value) ? undefined : input
})
const ahead = useForethought(refDebounced(whole, PAUSE_MS))
const aheadWords = computed(() =>
  whole.value && ahead.data.value
    ? forethoughtWords(ahead.data.value, whole.value.periodDays * whole.value.periods)
    : undefined,
)

/** A trial that was over begins once more with what it tried. */
const route = useRoute()
const trials = useTrials()
watch(
  () => trials.data.value?.find((trial) => trial.id === route.query.like),
  (like) => {
    if (like && !form.value.task) form.value = fromTrial(like)
  },
  { immediate: true },
)

async function start() {
  const { input, errors: amiss } = toTrial(form.value)
  if (Object.keys(amiss).length) {
    refuse(amiss)
    return
  }
  const begun = send(async () => {
    await begin.mutateAsync({ id, input })
    return true
  })
  if (await begun) await router.push({ name: 'trials' })
}
</script>

<template>
  <main class="page narrow">
    <h1>{{ texts.beginATrial }}</h1>
    <p class="quiet">
      {{ texts.theWaysTakeTurns }}
    </p>
    <AsyncState
      :pending="tanks.isPending.value || filters.isPending.value"
      :error="lacking(tanks, filters)"
      :what="texts.theTanks"
      @retry="filters.refetch()"
    >
      <form class="grid gap-18px justify-items-start mt-16px" novalidate @submit.prevent="start">
        <div class="grid cols-[repeat(auto-fill,minmax(165px,1fr))] gap-16px w-full">
          <SelectField
            v-model="form.tank"
            :label="texts.tank"
            name="tank"
            :choices="
              (tanks.data.value ?? []).map((one) => ({ value: String(one.id), label: one.tank.name }))
            "
            @update:model-value="form.task = ''"
          />
          <SelectField
            v-model="form.task"
            :label="texts.task"
            name="taskId"
            :choices="tasks"
            :disabled="!form.tank"
            :error="errors.taskId"
            @update:model-value="form.also = []"
          />
        </div>
        <div v-if="others.length" data-field="alsoTaskIds">
          <p id="also">{{ texts.theSameWaysOn }}</p>
          <el-checkbox-group v-model="form.also" aria-labelledby="also">
            <el-checkbox v-for="other in others" :key="other.task" :value="other.task">{{
              other.tank
            }}</el-checkbox>
          </el-checkbox-group>
          <p v-if="errors.alsoTaskIds" class="error" role="alert">{{ errors.alsoTaskIds }}</p>
        </div>
        <WayFields v-model="form.ways" :can-be-left-out="canBeLeftOut" :errors="errors" />
        <LayoutFields v-model="form" :errors="errors" />
        <ChoiceRow
          v-model="form.parameter"
          :legend="texts.compareTheRiseOf"
          name="parameter"
          :choices="[
            { value: 'NITRATE', label: texts.nitrate },
            { value: 'PHOSPHATE', label: texts.phosphate },
          ]"
          :error="errors.parameter"
        />
        <div data-field="watched">
          <p id="watched">{{ texts.watchedBesideItWithout }}</p>
          <el-checkbox-group v-model="form.watched" aria-labelledby="watched">
            <el-checkbox
              v-for="one in WATCHED.filter((one) => one.value !== form.parameter)"
              :key="one.value"
              :value="one.value"
              >{{ one.label }}</el-checkbox
            >
          </el-checkbox-group>
          <p v-if="errors.watched" class="error" role="alert">{{ errors.watched }}</p>
        </div>
        <p v-if="aheadWords" role="status">{{ aheadWords }}</p>
        <p v-if="trouble && !errors.taskId" class="error" role="alert">{{ trouble }}</p>
        <el-button type="primary" native-type="submit" :disabled="sending">{{
          form.began < today() ? texts.beginIt : texts.beginToday
        }}</el-button>
      </form>
    </AsyncState>
  </main>
</template>
