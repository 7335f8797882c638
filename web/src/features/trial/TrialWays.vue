<script setup lang="ts">
import { texts } from './texts'
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

type Way = Trial['ways'][number]
interface Column {
  label: string
  width: number
  of: (way: Way, place: number) => string
  /** How sure it is. */
  range?: (way: Way) => string
}

const rows = computed(() => props.trial.ways.map((way, place) => ({ way, place })))
const columns = computed<Column[]>(() => {
  const { subject, watched } = props.trial
  const cost: Column[] = costs.value
    ? [
        {
          label: texts.costAWeek,
          width: 90,
          of: (way) => (way.costAWeek === undefined ? '–' : money(way.costAWeek)),
        },
      ]
    : []
  return [
    { label: texts.daysSoFar, width: 80, of: (way) => String(way.daysLived) },
    { label: texts.timesDone, width: 80, of: (way) => String(way.times) },
    { label: texts.readings, width: 90, of: (way) => String(way.readings) },
    { label: texts.minutesAWeek, width: 90, of: (way) => way.minutesAWeek?.toFixed(0) ?? '–' },
    ...cost,
    {
      label: texts.risesAWeek2(subject.parameter),
      width: 220,
      of: (way) => (way.rise ? riseWords(way.rise.perWeek, subject.unit) : '–'),
      range: (way) => (way.rise ? texts.to4(riseWords(way.rise.low, ''), riseWords(way.rise.high, '')) : ''),
    },
    ...watched.map((one) => ({
      label: one.parameter,
      width: 130,
      of: (_: Way, place: number) => watchedWords(one.byWay[place] ?? {}, one.unit),
    })),
  ]
})
</script>

<template>
  <div class="max-w-full overflow-x-auto">
    <el-table :data="rows" row-key="place" :scrollbar-tabindex="0" :aria-label="texts.whatEachWayTook">
      <el-table-column :label="texts.way" min-width="140">
        <template #default="{ row }"
          ><b>{{ wayWords(row.way.days) }}</b></template
        >
      </el-table-column>
      <el-table-column
        v-for="column in columns"
        :key="column.label"
        :label="column.label"
        align="right"
        :min-width="column.width"
      >
        <template #default="{ row }"
          ><span class="num">{{ column.of(row.way, row.place) }}</span>
          <span v-if="column.range" class="small quiet ml-6px">{{ column.range(row.way) }}</span></template
        >
      </el-table-column>
      <el-table-column v-if="over" class-name="screen" min-width="130" align="right">
        <template #header
          ><span class="seen-by-readers">{{ texts.keepIt }}</span></template
        >
        <template #default="{ row }">
          <b v-if="trial.adopted === row.place">{{ texts.chosen }}</b>
          <el-button
            v-else-if="chooses && row.way.days !== undefined"
            type="primary"
            text
            :disabled="sending"
            @click="emit('adopt', row.place)"
          >
            {{ texts.adopt(wayWords(row.way.days)) }}
          </el-button>
        </template>
      </el-table-column>
    </el-table>
    <p v-if="trial.watched.length" class="small quiet">
      {{
        texts.onlyWatchedWhatIs(
          trial.watched.map((one) => one.parameter).join(' and '),
          trial.subject.parameter.toLowerCase(),
        )
      }}
    </p>
  </div>
</template>

<style scoped>
@media print {
  :deep(.screen) {
    display: none;
  }
}
</style>
