<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { BenchNav } from '@/features/bench'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import { useTrials, type Trial } from './queries'
import TogetherLine from './TogetherLine.vue'
import TrialCard from './TrialCard.vue'
import { groupOf } from './trials'

/** At the table: ways of doing one task tried in turns, and what the water says to it. */
const trials = useTrials()

const all = computed(() => trials.data.value ?? [])
/** Whether it is the first of those begun together: what they say together stands above it. */
const leads = (trial: Trial) => groupOf(all.value, trial)[0]?.id === trial.id
</script>

<template>
  <main class="page">
    <BenchNav />
    <header class="titled">
      <h1>{{ texts.trials }}</h1>
      <LinkButton type="primary" :to="{ name: 'new-trial' }">{{ texts.beginATrial }}</LinkButton>
    </header>
    <p class="quiet mt-1 mb-16px">
      {{ texts.twoToFiveWays }}
    </p>
    <AsyncState
      :pending="trials.isPending.value"
      :error="lacking(trials)"
      :what="texts.theTrials"
      @retry="trials.refetch()"
    >
      <p v-if="trials.data.value?.length === 0">
        {{ texts.noTrialYetTry }}
      </p>
      <template v-for="trial in trials.data.value" :key="trial.id">
        <TogetherLine v-if="leads(trial)" :tanks="groupOf(all, trial)" />
        <TrialCard :trial="trial" />
      </template>
      <p v-if="trials.data.value?.length">
        <a href="/api/trials/table.csv" download>{{ texts.downloadTrialsCsv }}</a>
      </p>
    </AsyncState>
  </main>
</template>
