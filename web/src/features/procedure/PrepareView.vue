<script setup lang="ts">
import { texts } from './texts'
import { computed, reactive, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useFilters, type Filter } from '@/features/filter'
import { useForecasts, useOpenings } from '@/features/interval'
import { useTank } from '@/features/tank'
import { HoldNotice, MediaPick } from '@/features/water'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import TextField from '@/shared/components/TextField.vue'
import { today } from '@/shared/dates'
import { typedNumber } from '@/shared/units'
import { useBegin } from './begin'
import BenchCard from './BenchCard.vue'
import { openingWords, withAlong } from './opening'
import { useProcedure, type Chore } from './queries'
import ThenPick from './ThenPick.vue'

/** At the tank, before hands get wet: choose the work, see what it takes, begin. */
const props = defineProps<{ tank: number }>()

const route = useRoute()
const tank = useTank(() => props.tank)
const filters = useFilters(() => props.tank)
const forecasts = useForecasts(() => props.tank)
const openings = useOpenings(() => props.tank)
const { sending, trouble, errors, refuse, begin } = useBegin()

const filterId = ref<number>()
const tasks = ref<number[]>([])
const chores = ref<Chore[]>([])
const media = reactive({ stage: undefined as number | undefined, grams: '', reason: '' })
const CHORES: { value: Chore; label: string; marine: boolean }[] = [
  { value: 'ROCK_BLOW_OFF', label: texts.blowDetritusOffThe, marine: true },
  { value: 'SUBSTRATE_VACUUM', label: texts.vacuumTheSubstrate, marine: false },
  { value: 'BIO_PART_REPLACED', label: texts.replacePartOfThe, marine: false },
]

const nothing = computed(() => tasks.value.length + chores.value.length === 0)
const onlyLog = computed(() => ({
  name: 'log',
  params: { tank: props.tank },
  query: { tasks: tasks.value.join(',') },
}))
const then = ref<number[]>([])
const procedure = useProcedure(filterId, tasks, chores, then)
const filter = computed(() => filters.data.value?.find((one) => one.id === filterId.value))
const held = computed(() => procedure.data.value?.held ?? [])
const asked = computed(() =>
  String(route.query.tasks ?? '')
    .split(',')
    .map(Number)
    .filter(Boolean),
)
const offered = computed(() =>
  CHORES.filter((chore) => !chore.marine || tank.data.value?.tank.setting.water === 'MARINE'),
)

/** What the rounds asked for; otherwise what is due. */
const wanted = computed(() =>
  asked.value.length
    ? asked.value
    : (forecasts.data.value ?? [])
        .filter((one) => !one.hold && one.window.earliest <= today())
        .map((one) => one.subject.taskId),
)

watch(
  [filters.data, forecasts.isFetched, openings.isFetched],
  ([all, known, sized]) => {
    if (filterId.value !== undefined || !all?.length || !known || !sized) return
    choose(all.find((one) => one.tasks.some((task) => wanted.value.includes(task.id))) ?? all[0])
  },
  { immediate: true },
)

function choose(one: Filter | undefined) {
  filterId.value = one?.id
  then.value = []
  tasks.value = (one?.tasks ?? []).filter((task) => wanted.value.includes(task.id)).map((task) => task.id)
}

/** With an opening its own work is ticked; whoever takes a tick off again keeps it off. */
watch(tasks, (now, before) => {
  const opened = (openings.data.value ?? []).filter((one) => !before.includes(one.taskId))
  const inUse = (filter.value?.tasks ?? []).filter((task) => task.mode !== 'OFF').map((task) => task.id)
  const all = withAlong(now, opened, inUse)
  if (all.length > now.length) tasks.value = all
})

async function start() {
  if (filterId.value === undefined) return
  const grams = typedNumber(media.grams)
  const exchange = chores.value.includes('BIO_PART_REPLACED')
  if (exchange && (media.stage === undefined || grams === undefined || Number.isNaN(grams))) {
    refuse({ 'media.grams': texts.whichMediaAndHow })
    return
  }
  await begin({
    filterId: filterId.value,
    tasks: tasks.value,
    chores: chores.value,
    overrideReason: media.reason.trim() || undefined,
    media: exchange ? { stageId: media.stage ?? 0, grams: grams ?? 0 } : undefined,
    then: then.value,
  })
}
</script>

<template>
  <main class="page prepare">
    <AsyncState
      :pending="tank.isPending.value || filters.isPending.value"
      :error="lacking(tank, filters)"
      :what="texts.theTank"
      @retry="(tank.refetch(), filters.refetch())"
    >
      <h1>{{ tank.data.value?.tank.name }}</h1>
      <p v-if="filters.data.value?.length === 0">
        {{ texts.thisTankHasNo }}
        <RouterLink :to="{ name: 'new-filter', params: { tank: props.tank } }">{{ texts.addOne }}</RouterLink>
      </p>
      <div v-else class="grid cols-[minmax(260px,360px)_1] gap-40px mt-3 max-half:cols-1">
        <form class="print:hidden" @submit.prevent="start">
          <ChoiceRow
            v-if="filterId !== undefined && (filters.data.value?.length ?? 0) > 1"
            :model-value="filterId"
            :legend="texts.filter"
            name="filterId"
            :choices="(filters.data.value ?? []).map((one) => ({ value: one.id, label: one.name }))"
            @update:model-value="(id) => choose(filters.data.value?.find((one) => one.id === id))"
          />
          <ThenPick
            v-model="then"
            :filters="(filters.data.value ?? []).filter((one) => one.id !== filterId)"
            :wanted="wanted"
            :error="errors.then"
          />
          <h2>{{ texts.whatWillYouDo }}</h2>
          <p
            v-for="words in openingWords(tasks, openings.data.value ?? [])"
            :key="words"
            class="small"
            role="status"
          >
            {{ words }}
          </p>
          <el-checkbox-group v-model="tasks" :aria-label="texts.tasks">
            <el-checkbox
              v-for="task in filter?.tasks.filter((one) => one.mode !== 'OFF')"
              :key="task.id"
              :value="task.id"
              class="tick flex mr-0 edge-b-hair"
              >{{ task.name }}</el-checkbox
            >
          </el-checkbox-group>
          <el-checkbox-group v-model="chores" :aria-label="texts.besides">
            <el-checkbox
              v-for="chore in offered"
              :key="chore.value"
              :value="chore.value"
              class="tick flex mr-0 edge-b-hair"
              >{{ chore.label }}</el-checkbox
            >
          </el-checkbox-group>
          <MediaPick
            v-if="chores.includes('BIO_PART_REPLACED')"
            v-model:stage="media.stage"
            v-model:grams="media.grams"
            v-model:reason="media.reason"
            :tank="props.tank"
            :errors="errors"
          />
          <template v-if="held.length && !nothing">
            <div v-for="one in held" :key="one.hold.cause">
              <HoldNotice :hold="one.hold" />
              <p class="small quiet">{{ texts.onHold2(one.work.join(', ')) }}</p>
            </div>
            <TextField
              v-if="!chores.includes('BIO_PART_REPLACED')"
              v-model="media.reason"
              :label="texts.whyYouAreDoing"
              name="overrideReason"
              type="textarea"
              :hint="texts.keptWithTheRecord"
              :error="errors.overrideReason"
            />
          </template>
          <p v-if="errors.tasks || trouble" class="trouble" role="alert">{{ errors.tasks ?? trouble }}</p>
          <div class="actions flex flex-wrap gap-2 my-10px">
            <el-button
              class="min-h-touch"
              type="primary"
              native-type="submit"
              :disabled="sending || nothing"
              >{{ texts.start }}</el-button
            >
            <LinkButton class="min-h-touch" type="primary" text :to="onlyLog">{{
              texts.onlyLogIt
            }}</LinkButton>
          </div>
        </form>
        <AsyncState
          :pending="procedure.isPending.value"
          :error="lacking(procedure)"
          :what="texts.theSteps"
          @retry="procedure.refetch()"
        >
          <BenchCard
            v-if="procedure.data.value && !nothing"
            :procedure="procedure.data.value"
            :tank="tank.data.value?.tank.name ?? ''"
          />
          <p v-else class="quiet">{{ texts.tickWhatYouWant }}</p>
        </AsyncState>
      </div>
    </AsyncState>
  </main>
</template>
