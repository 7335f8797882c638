<script setup lang="ts">
import { texts } from './texts'
import { computed, defineAsyncComponent, ref } from 'vue'
import { TaskSettingDialog, useFilters, type Task } from '@/features/filter'
import { LookPanel, StoryChapters, storyChart, useStory } from '@/features/interval'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import WindowLine from '@/shared/components/WindowLine.vue'
import { longDay, today, windowWords } from '@/shared/dates'
import { counted } from '@/shared/words'
import { inOurUnits } from '@/shared/units'
import { useTank } from './queries'

/** At the table: one task of a stage, and how its interval came to be. */
const props = defineProps<{ tank: number; task: number }>()

const StoryChart = defineAsyncComponent(storyChart)

const tank = useTank(() => props.tank)
const filters = useFilters(() => props.tank)
const story = useStory(
  () => props.tank,
  () => props.task,
)
const now = today()
const adjusting = ref<Task>()
const told = computed(() => story.data.value)
const task = computed(() =>
  (filters.data.value ?? []).flatMap((filter) => filter.tasks).find((one) => one.id === props.task),
)
const withOpening = computed(() => told.value?.forecast.basis === 'WITH_OPENING')
</script>

<template>
  <main class="page">
    <AsyncState
      :pending="story.isPending.value || tank.isPending.value"
      :error="lacking(story, tank)"
      :what="texts.theTask"
      @retry="(story.refetch(), tank.refetch())"
    >
      <template v-if="told">
        <p class="quiet path mb-2px">
          <RouterLink :to="{ name: 'tank', params: { tank: props.tank } }">{{
            tank.data.value?.tank.name
          }}</RouterLink>
          · {{ told.filterName }}<template v-if="told.stage"> · {{ told.stage }}</template>
        </p>
        <header class="flex gap-12px items-baseline justify-between">
          <h1>{{ told.forecast.subject.name }}</h1>
          <el-button v-if="task" type="primary" text @click="adjusting = task">{{ texts.adjust }}</el-button>
        </header>
        <section class="now mt-18px max-w-760px" :aria-label="texts.when">
          <p class="text-19px">
            <template v-if="told.forecast.hold">{{
              texts.onHold2(inOurUnits(told.forecast.hold.reason))
            }}</template>
            <template v-else
              >{{ texts.bestOn }} <b>{{ longDay(told.forecast.window.ideal) }}</b><template
                v-if="told.forecast.intervalDays"
                >{{ texts.afterTheLast(counted(told.forecast.intervalDays, 'day')) }}</template
              >; {{ windowWords(told.forecast.window) }}</template
            >
          </p>
          <WindowLine
            :window="told.forecast.window"
            :standing="told.forecast.hold ? 'LATER' : told.forecast.standing"
            :today="now"
            :before="60"
            :after="420"
            :focus="20"
          />
          <p class="quiet">{{ told.forecast.reasons.join(' ') }}</p>
        </section>
        <section v-if="told.chapters.length" class="mt-18px" aria-labelledby="story">
          <h2 id="story">
            {{
              told.forecast.intervalDays
                ? texts.howItCameTo(counted(told.forecast.intervalDays, 'day'))
                : texts.whatWasFoundSo
            }}
          </h2>
          <RouterLink class="small" :to="{ name: 'how' }">{{ texts.howDatesAreLearned }}</RouterLink>
          <p v-if="told.fixed" class="quiet">{{ texts.theIntervalIsFixed }}</p>
          <p v-else-if="withOpening" class="quiet">
            {{ texts.itIsDoneWhenever }}
          </p>
          <StoryChart :chapters="told.chapters" :today="now" />
          <p class="small quiet key flex flex-wrap gap-y-1 gap-x-4 mt-2px mb-12px">
            <span
              ><i class="line inline-block w-4 h-0 [vertical-align:middle] edge-t-3-herb" />
              {{ texts.intervalBelieved }}</span
            >
            <span>{{ texts.daysItRanAnd }}</span>
            <span
              ><i
                class="band inline-block w-4 [vertical-align:middle] h-11px bg-silt-stipple border-0 op-50"
              />
              {{ texts.whenItWouldOverload }}</span
            >
            <span
              ><i class="inline-block w-4 h-0 [vertical-align:middle] edge-t-2-dashed-silt" />
              {{ texts.middleOfThat }}</span
            >
          </p>
          <StoryChapters :chapters="told.chapters" />
        </section>
        <p v-else class="quiet">{{ texts.thisIsntLearnedFrom }}</p>
        <LookPanel v-if="told.forecast.signs.length" class="mt-18px" :forecast="told.forecast" />
      </template>
    </AsyncState>
    <TaskSettingDialog :task="adjusting" @close="adjusting = undefined" />
  </main>
</template>

<style scoped>
.alone {
  margin-top: 12px;
}
</style>
