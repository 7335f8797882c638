<script setup lang="ts">
import { computed } from 'vue'
import { money } from '@/shared/units'
import type { Trial } from './queries'
import { riseWords, watchedWords, wayWords } from './trials'

/** What each way took and what the water said to it; what is watched stands beside it, without a verdict. */
const props = defineProps<{
  trial: Trial
  /** Whether a way can be chosen. */
  chooses: boolean
  sending: boolean
}>()
const emit = defineEmits<{ adopt: [way: number] }>()

/** Where doing it uses up what has a price. */
const costs = computed(() => props.trial.ways.some((way) => (way.costAWeek ?? 0) > 0))
const over = computed(() => props.trial.state !== 'RUNNING')
</script>

<template>
  <div class="wide">
    <table>
      <thead>
        <tr class="small quiet">
          <th scope="col">Way</th>
          <th scope="col">Days so far</th>
          <th scope="col">Times done</th>
          <th scope="col">Readings</th>
          <th scope="col">Minutes a week</th>
          <th v-if="costs" scope="col">Cost a week</th>
          <th scope="col">{{ trial.subject.parameter }} rises a week</th>
          <th v-for="one in trial.watched" :key="one.parameter" scope="col">{{ one.parameter }}</th>
          <th v-if="over" scope="col" class="screen"><span class="seen-by-readers">Keep it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(way, i) in trial.ways" :key="i">
          <th scope="row">{{ wayWords(way.days) }}</th>
          <td class="num">{{ way.daysLived }}</td>
          <td class="num">{{ way.times }}</td>
          <td class="num">{{ way.readings }}</td>
          <td class="num">{{ way.minutesAWeek?.toFixed(0) ?? '–' }}</td>
          <td v-if="costs" class="num">{{ way.costAWeek === undefined ? '–' : money(way.costAWeek) }}</td>
          <td class="num">
            <template v-if="way.rise"
              >{{ riseWords(way.rise.perWeek, trial.subject.unit) }}
              <span class="small quiet"
                >{{ riseWords(way.rise.low, '') }} to {{ riseWords(way.rise.high, '') }}</span
              ></template
            >
            <template v-else>–</template>
          </td>
          <td v-for="one in trial.watched" :key="one.parameter" class="num">
            {{ watchedWords(one.byWay[i] ?? {}, one.unit) }}
          </td>
          <td v-if="over" class="screen">
            <b v-if="trial.adopted === i">chosen</b>
            <el-button
              v-else-if="chooses && way.days !== undefined"
              type="primary"
              text
              :disabled="sending"
              @click="emit('adopt', i)"
            >
              Adopt {{ wayWords(way.days) }}
            </el-button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="trial.watched.length" class="small quiet">
      {{ trial.watched.map((one) => one.parameter).join(' and ') }} only watched: what is compared is
      {{ trial.subject.parameter.toLowerCase() }}.
    </p>
  </div>
</template>

<style scoped>
.wide {
  max-width: 100%;
  overflow-x: auto;
}

table {
  border-collapse: collapse;
}

th,
td {
  padding: 4px 22px 4px 0;
  text-align: left;
  font-weight: inherit;
}

td {
  text-align: right;
  white-space: nowrap;
}

tbody th {
  font-weight: 640;
  white-space: nowrap;
}

@media print {
  .screen {
    display: none;
  }
}
</style>
