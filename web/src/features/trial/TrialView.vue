<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { BenchNav } from '@/features/bench'
import { lacking } from '@/shared/asking'
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
    ? texts.eachOfTanksKept(tanks.value.length)
    : texts.inTurnsOfDays(turns.length, plan.periodDays)
  return texts.fromBegunBy(named, how, datedDay(plan.began), subject.startedBy)
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
      :error="lacking(trials)"
      :what="texts.theTrial"
      @retry="trials.refetch()"
    >
      <template v-if="one">
        <header class="titled">
          <h1>{{ texts.trial(one.subject.task, one.subject.tank) }}</h1>
          <el-button class="print:hidden" @click="print">{{ texts.printIt }}</el-button>
        </header>
        <p class="quiet">{{ layout }}</p>
        <p v-if="together" class="max-w-860px">{{ together }}</p>
        <TrialCard :trial="one" alone />
        <ul
          v-if="tanks.length > 1"
          class="flex flex-wrap gap-y-6px gap-x-20px list-none print:hidden"
          :aria-label="texts.theOtherTanksOf"
        >
          <li v-for="other in tanks.filter((tank) => tank.id !== one?.id)" :key="other.id">
            <RouterLink :to="{ name: 'trial', params: { trial: other.id } }">{{
              other.subject.tank
            }}</RouterLink>
          </li>
        </ul>
        <p class="small quiet">
          {{ texts.aRiseIsWhat }}
        </p>
      </template>
      <p v-else>
        {{ texts.thereIsNoSuch }}
        <RouterLink :to="{ name: 'trials' }">{{ texts.allTrials }}</RouterLink>
      </p>
    </AsyncState>
  </main>
</template>
