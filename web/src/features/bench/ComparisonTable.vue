<script setup lang="ts">
import { computed } from 'vue'
import type { Comparison } from './queries'
import { rows, spreadWords } from './spreads'
import SpreadStrip from './SpreadStrip.vue'

/** What each way brings, measure by measure, as spreads on one scale. */
const props = defineProps<{ comparison: Comparison }>()

const shown = computed(() => rows(props.comparison))
</script>

<template>
  <section aria-label="What the year would bring">
    <p class="small quiet key">
      Twenty dots are twenty futures of equal chance; the green line is the middle, the bar holds eight in
      ten.
    </p>
    <div v-for="row in shown" :key="row.measure" class="measure">
      <h2>
        {{ row.label }} <span class="small quiet">{{ row.hint }}</span>
      </h2>
      <div v-for="{ way, words, spread } in row.spreads" :key="way" class="row" :data-way="way">
        <span>{{ words }}</span>
        <SpreadStrip
          :spread="spread"
          :top="row.top"
          :words="`${words}: ${spreadWords(spread, row.digits, row.unit)}`"
        />
        <span class="num"
          ><b>{{ spread.middle.toFixed(row.digits) }}</b> {{ row.unit }}
          <span class="small quiet"
            >{{ spread.low.toFixed(row.digits) }} to {{ spread.high.toFixed(row.digits) }}</span
          ></span
        >
      </div>
    </div>
  </section>
</template>

<style scoped>
.measure {
  padding: 8px 0;
  border-top: 1px solid var(--hair);
}

h2 {
  font-size: 17px;
}

.row {
  display: grid;
  grid-template-columns: 190px minmax(180px, 1fr) 190px;
  gap: 4px 18px;
  align-items: center;
}

@media (width <= 700px) {
  .row {
    grid-template-columns: 1fr auto;
  }

  .row > svg {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>
