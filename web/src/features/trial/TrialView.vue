<script setup lang="ts">
import { computed } from 'vue'
import { BenchNav } from '@/features/bench'
import AsyncState from '@/shared/components/AsyncState.vue'
import { datedDay } from '@/shared/dates'
import { useTrials } from './queries'
import TrialCard from './TrialCard.vue'
import { groupOf, groupWords, wayWords } from './trials'

/** One trial on a page that can be printed and kept: what was tried, how, and what came of it. */
const props = defineProps<{ trial: string }>()

const trials = useTrials()
const one = computed(() => trials.data.value?.find((trial) => trial.id === props.trial))
const tanks = computed(() => (one.value ? groupOf(trials.data.value ?? [], one.value) : []))
const together = computed(() => groupWords(tanks.value))
/** How it was laid out, in a sentence. */
const layout = computed(() => {
  if (!one.value) return ''
  const { plan, ways, turns, subject } = one.value
  const named = ways.map((way) => wayWords(way.days)).join(', ')
  const how = plan.oneEach
    ? `each of ${String(tanks.value.length)} tanks kept one way`
    : `in ${String(turns.length)} turns of ${String(plan.periodDays)} days`
  return `${named}; ${how}, from ${datedDay(plan.began)}, begun by ${subject.startedBy}.`
})
const print = () => {
  window.print()
}
</script>

<template>
  <main class="page print:p-0 print:m-0">
    <BenchNav class="print:hidden" />
    <AsyncState
      :pending="trials.isPending.value"
      :error="trials.error.value"
      what="the trial"
      @retry="trials.refetch()"
    >
      <template v-if="one">
        <header class="titled">
          <h1>Trial: {{ one.subject.task }}, {{ one.subject.tank }}</h1>
          <el-button class="print:hidden" @click="print">Print it</el-button>
        </header>
        <p class="quiet">{{ layout }}</p>
        <p v-if="together" class="max-w-860px">{{ together }}</p>
        <TrialCard :trial="one" alone />
        <ul
          v-if="tanks.length > 1"
          class="flex flex-wrap gap-y-6px gap-x-20px list-none print:hidden"
          aria-label="The other tanks of this trial"
        >
          <li v-for="other in tanks.filter((tank) => tank.id !== one?.id)" :key="other.id">
            <RouterLink :to="{ name: 'trial', params: { trial: other.id } }">{{
              other.subject.tank
            }}</RouterLink>
          </li>
        </ul>
        <p class="small quiet">
          A rise is what the tank made in a week, water changes and tap water taken out. Its band holds the
          truth four times in five if readings err as their kits say.
        </p>
      </template>
      <p v-else>
        There is no such trial here. It may have been removed from the list.
        <RouterLink :to="{ name: 'trials' }">All trials</RouterLink>
      </p>
    </AsyncState>
  </main>
</template>
