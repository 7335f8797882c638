<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import type { Comparison } from './queries'
import { rows, spreadWords } from './spreads'
import SpreadStrip from './SpreadStrip.vue'

/** What each way brings, measure by measure, as spreads on one scale. */
const props = defineProps<{ comparison: Comparison }>()

const shown = computed(() => rows(props.comparison))
</script>

<template>
  <section :aria-label="texts.whatTheYearWould">
    <p class="small quiet key">
      {{ texts.twentyDotsAreTwenty }}
    </p>
    <div v-for="row in shown" :key="row.measure" class="measure py-2 edge-t-hair">
      <h2 class="text-17px">
        {{ row.label }} <span class="small quiet">{{ row.hint }}</span>
      </h2>
      <div
        v-for="{ way, words, spread } in row.spreads"
        :key="way"
        class="grid cols-[190px_minmax(180px,1fr)_190px] gap-y-1 gap-x-18px items-center max-tablet:cols-[1fr_auto]"
        :data-way="way"
      >
        <span>{{ words }}</span>
        <SpreadStrip
          class="max-tablet:col-span-full max-tablet:row-[2]"
          :spread="spread"
          :top="row.top"
          :words="`${words}: ${spreadWords(spread, row.digits, row.unit)}`"
        />
        <span class="num"
          ><b>{{ spread.middle.toFixed(row.digits) }}</b> {{ row.unit }}
          <span class="small quiet">{{
            texts.to(spread.low.toFixed(row.digits), spread.high.toFixed(row.digits))
          }}</span></span
        >
      </div>
    </div>
  </section>
</template>
