<script setup lang="ts">
import { computed } from 'vue'
import { BenchNav } from '@/features/bench'
import AsyncState from '@/shared/components/AsyncState.vue'
import { upperFirst } from '@/shared/words'
import EffectRow from './EffectRow.vue'
import { useCompared } from './queries'

/** At the table: what a pre-filter, another filter or more animals did to how fast filters fill. */
const compared = useCompared()
const seen = computed(() => compared.data.value)
</script>

<template>
  <main class="page">
    <BenchNav />
    <AsyncState
      :pending="compared.isPending.value"
      :error="compared.error.value"
      what="the comparison"
      @retry="compared.refetch()"
    >
      <header class="titled"><h1>Filters compared</h1></header>
      <template v-if="seen">
        <p class="quiet">
          <template v-if="seen.runs"
            >{{ seen.runs }} runs of {{ seen.filters }} {{ seen.filters === 1 ? 'filter' : 'filters' }} that
            ended with a look, half of them longer than {{ seen.days }} days. What your own log says, all
            filters taken together.</template
          >
          <template v-else
            >No run has ended with a look yet. Grade what you find when you open a filter, and this page
            compares filters.</template
          >
        </p>
        <template v-if="seen.effects.length">
          <div class="small quiet flex justify-between max-w-860px" aria-hidden="true">
            <span>fills a quarter as fast</span><span>as before</span><span>four times as fast</span>
          </div>
          <ul class="max-w-860px">
            <EffectRow v-for="effect in seen.effects" :key="effect.factor" :effect="effect" />
          </ul>
        </template>
        <p v-if="seen.untold.length" class="small">
          Too few runs with or without, fewer than three: {{ upperFirst(seen.untold.join(', ')) }}.
        </p>
        <p class="small quiet">
          Nobody drew lots for which filter got a pre-filter and when. Where something else changed with it
          that is not on record, its share is in these figures too. A trial is surer.
        </p>
      </template>
    </AsyncState>
  </main>
</template>
