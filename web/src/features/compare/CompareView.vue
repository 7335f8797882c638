<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { BenchNav } from '@/features/bench'
import { lacking } from '@/shared/asking'
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
      :error="lacking(compared)"
      :what="texts.theComparison"
      @retry="compared.refetch()"
    >
      <header class="titled">
        <h1>{{ texts.filtersCompared }}</h1>
      </header>
      <template v-if="seen">
        <p class="quiet">
          <template v-if="seen.runs">{{
            texts.runsOfThatEnded(
              seen.runs,
              seen.filters,
              seen.filters === 1 ? texts.filter : texts.filters,
              seen.days,
            )
          }}</template>
          <template v-else>{{ texts.noRunHasEnded }}</template>
        </p>
        <template v-if="seen.effects.length">
          <div class="small quiet flex justify-between max-w-860px" aria-hidden="true">
            <span>{{ texts.fillsAQuarterAs }}</span><span>{{ texts.asBefore }}</span
            ><span>{{ texts.fourTimesAsFast }}</span>
          </div>
          <ul class="max-w-860px">
            <EffectRow v-for="effect in seen.effects" :key="effect.factor" :effect="effect" />
          </ul>
        </template>
        <p v-if="seen.untold.length" class="small">
          {{ texts.tooFewRunsWith(upperFirst(seen.untold.join(', '))) }}
        </p>
        <p class="small quiet">
          {{ texts.nobodyDrewLotsFor }}
        </p>
      </template>
    </AsyncState>
  </main>
</template>
