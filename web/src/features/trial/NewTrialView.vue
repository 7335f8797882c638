<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useSiteFilters, type Filter, type Task } from '@/features/filter'
import { useTanks } from '@/features/tank'
import AsyncState from '@/shared/components/AsyncState.vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import NumberField from '@/shared/components/NumberField.vue'
import SelectField from '@/shared/components/SelectField.vue'
import { addDays, shortDay, today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { useBeginTrial, useForethought, useTrials } from './queries'
import { emptyTrial, emptyWay, forethoughtWords, fromTrial, MOST_WAYS, toTrial, TURNS } from './trials'
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
const ends = computed(() => {
  const days = Number(form.value.periodDays) * form.value.turns * form.value.ways.length
  return Number.isInteger(days) && days > 0 ? shortDay(addDays(today(), days)) : undefined
})

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
  return Object.keys(amiss).length ? undefined : input
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
    <h1>Begin a trial</h1>
    <p class="quiet">
      The ways take turns from today; the others are measured by the first. Read the parameter once or twice a
      week, and leave stocking and feeding as they are.
    </p>
    <AsyncState
      :pending="tanks.isPending.value || filters.isPending.value"
      :error="tanks.error.value ?? filters.error.value"
      what="the tanks"
      @retry="filters.refetch()"
    >
      <form novalidate @submit.prevent="start">
        <div class="row">
          <SelectField
            v-model="form.tank"
            label="Tank"
            name="tank"
            :choices="
              (tanks.data.value ?? []).map((one) => ({ value: String(one.id), label: one.tank.name }))
            "
            @update:model-value="form.task = ''"
          />
          <SelectField
            v-model="form.task"
            label="Task"
            name="taskId"
            :choices="tasks"
            :disabled="!form.tank"
            :error="errors.taskId"
            @update:model-value="form.also = []"
          />
        </div>
        <div v-if="others.length" data-field="alsoTaskIds">
          <p id="also">The same ways on other tanks, so that more can be told sooner</p>
          <el-checkbox-group v-model="form.also" aria-labelledby="also">
            <el-checkbox v-for="other in others" :key="other.task" :value="other.task">{{
              other.tank
            }}</el-checkbox>
          </el-checkbox-group>
          <p v-if="errors.alsoTaskIds" class="error" role="alert">{{ errors.alsoTaskIds }}</p>
        </div>
        <ul>
          <li v-for="(way, i) in form.ways" :key="i" class="way">
            <NumberField
              v-model="way.days"
              :label="i === 0 ? 'Every' : 'Or every'"
              :name="`ways[${i}]`"
              unit="days"
              :disabled="way.without"
              :error="errors[`ways[${i}]`]"
            />
            <el-checkbox
              v-if="canBeLeftOut && (way.without || !form.ways.some((one) => one.without))"
              v-model="way.without"
            >
              Without it
            </el-checkbox>
            <el-button v-if="form.ways.length > 2" type="primary" text @click="form.ways.splice(i, 1)">
              Remove<span class="seen-by-readers"> way {{ i + 1 }}</span>
            </el-button>
          </li>
        </ul>
        <p v-if="errors.ways" class="error" role="alert">{{ errors.ways }}</p>
        <p v-if="form.ways.some((way) => way.without)" class="small quiet">
          For those periods take it out of the water’s path: one that is left in place clogs, and is no
          “without it”.
        </p>
        <el-button v-if="form.ways.length < MOST_WAYS" @click="form.ways.push(emptyWay())">
          Add a way
        </el-button>
        <div class="row">
          <NumberField
            v-model="form.periodDays"
            label="In periods of"
            name="periodDays"
            unit="days"
            hint="At least twice the longest interval"
            :error="errors.periodDays"
          />
        </div>
        <ChoiceRow
          v-model="form.turns"
          legend="Turns of each way"
          name="periods"
          :choices="TURNS.map((turns) => ({ value: turns, label: String(turns) }))"
          :error="errors.periods"
        />
        <p v-if="ends" class="quiet">It ends on {{ ends }}.</p>
        <ChoiceRow
          v-model="form.parameter"
          legend="Compare the rise of"
          name="parameter"
          :choices="[
            { value: 'NITRATE', label: 'Nitrate' },
            { value: 'PHOSPHATE', label: 'Phosphate' },
          ]"
          :error="errors.parameter"
        />
        <p v-if="aheadWords" role="status">{{ aheadWords }}</p>
        <p v-if="trouble && !errors.taskId" class="error" role="alert">{{ trouble }}</p>
        <el-button type="primary" native-type="submit" :disabled="sending">Begin today</el-button>
      </form>
    </AsyncState>
  </main>
</template>

<style scoped>
form {
  display: grid;
  gap: 18px;
  justify-items: start;
  margin-top: 16px;
}

ul {
  padding: 0;
}

.way {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: end;
  padding: 6px 0;
  list-style: none;
}

.row {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(165px, 1fr));
  gap: 16px;
  width: 100%;
}
</style>
