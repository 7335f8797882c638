<script setup lang="ts">
import { texts } from './texts'
import { useMediaQuery } from '@vueuse/core'
import { computed, ref } from 'vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import { momentWords } from '@/shared/dates'
import { offerUndo } from '@/shared/undo'
import {
  PAGE,
  useParameters,
  useReadings,
  useRemoveReading,
  useRestoreReading,
  type Reading,
} from './queries'
import { useUnits } from './units'

/** Every reading of a tank in words; also what a screen reader has of the chart. */
const props = defineProps<{ tank: number }>()

const skip = ref(0)
const readings = useReadings(() => props.tank, skip)
const parameters = useParameters()
const remove = useRemoveReading()
const restore = useRestoreReading()
const { words } = useUnits()

const rows = computed(() => readings.data.value ?? [])
const parameterOf = (reading: Reading) =>
  parameters.data.value?.find((one) => one.code === reading.parameter) ?? {
    label: reading.parameter,
    unit: '',
  }
const narrow = useMediaQuery('(width <= 640px)')
const MOMENT = { PLAIN: '', BEFORE: texts.beforeAService, AFTER: texts.afterAService }

const notes = (reading: Reading) =>
  [reading.early ? texts.readEarlyAtLeast : '', MOMENT[reading.moment], reading.method, reading.takenBy]
    .filter(Boolean)
    .join(', ')

/** Each reading with its words. */
const told = computed(() =>
  rows.value.map((reading) => {
    const parameter = parameterOf(reading)
    return {
      reading,
      takenAt: reading.takenAt,
      label: parameter.label,
      when: momentWords(reading.takenAt),
      value: words(reading, parameter),
      notes: notes(reading),
    }
  }),
)

async function drop(reading: Reading) {
  await remove.mutateAsync(reading.id)
  offerUndo(texts.readingRemoved, () => restore.mutateAsync(reading.id))
}
</script>

<template>
  <AsyncState
    :pending="readings.isPending.value"
    :error="lacking(readings)"
    :what="texts.theReadings"
    @retry="readings.refetch()"
  >
    <p v-if="rows.length === 0 && skip === 0" class="quiet">{{ texts.noReadingsYet }}</p>
    <ul v-else-if="narrow" :aria-label="texts.readings2">
      <li v-for="one in told" :key="one.reading.id" class="py-2 edge-b-hair">
        <p>
          <b>{{ one.label }} {{ one.value }}</b> <span class="small quiet">{{ one.when }}</span>
        </p>
        <p class="small quiet">{{ one.notes }}</p>
        <el-button type="primary" text class="small" @click="drop(one.reading)">
          {{ texts.remove }}<span class="seen-by-readers"> {{ one.label }}</span>
        </el-button>
      </li>
    </ul>
    <el-table v-else :data="told" row-key="reading.id" :aria-label="texts.readings2">
      <el-table-column :label="texts.when" prop="takenAt" sortable width="190">
        <template #default="{ row }">{{ row.when }}</template>
      </el-table-column>
      <el-table-column :label="texts.parameter" prop="label" sortable min-width="150" />
      <el-table-column :label="texts.value" align="right" width="130">
        <template #default="{ row }"
          ><span class="num">{{ row.value }}</span></template
        >
      </el-table-column>
      <el-table-column :label="texts.notes" min-width="190">
        <template #default="{ row }"
          ><span class="small quiet">{{ row.notes }}</span></template
        >
      </el-table-column>
      <el-table-column width="110" align="right">
        <template #header
          ><span class="seen-by-readers">{{ texts.remove }}</span></template
        >
        <template #default="{ row }">
          <el-button type="primary" text class="small" @click="drop(row.reading)">
            {{ texts.remove }}<span class="seen-by-readers"> {{ row.label }}</span>
          </el-button>
        </template>
      </el-table-column>
    </el-table>
    <div class="pages">
      <el-button v-if="skip > 0" type="primary" text @click="skip -= PAGE">{{ texts.newer }}</el-button>
      <el-button v-if="rows.length === PAGE" type="primary" text @click="skip += PAGE">
        {{ texts.older }}
      </el-button>
    </div>
  </AsyncState>
</template>
