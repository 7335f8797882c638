<script setup lang="ts">
import { computed, ref } from 'vue'
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
const MOMENT = { PLAIN: '', BEFORE: 'before a service', AFTER: 'after a service' }

async function drop(reading: Reading) {
  await remove.mutateAsync(reading.id)
  offerUndo('Reading removed.', () => restore.mutateAsync(reading.id))
}
</script>

<template>
  <AsyncState
    :pending="readings.isPending.value"
    :error="readings.error.value"
    what="the readings"
    @retry="readings.refetch()"
  >
    <p v-if="rows.length === 0 && skip === 0" class="quiet">No readings yet.</p>
    <div v-else class="scroll" tabindex="0" role="region" aria-label="Readings">
      <table>
        <thead>
          <tr>
            <th scope="col">When</th>
            <th scope="col">Parameter</th>
            <th scope="col" class="right">Value</th>
            <th scope="col">Notes</th>
            <th scope="col"><span class="seen-by-readers">Take out</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="reading in rows" :key="reading.id">
            <td>{{ momentWords(reading.takenAt) }}</td>
            <td>{{ parameterOf(reading).label }}</td>
            <td class="right num">{{ words(reading, parameterOf(reading)) }}</td>
            <td class="small quiet">
              <b v-if="reading.early" class="early">○ read early: at least this</b>
              {{ [MOMENT[reading.moment], reading.method, reading.takenBy].filter(Boolean).join(', ') }}
            </td>
            <td>
              <el-button type="primary" text class="small" @click="drop(reading)">
                Take out<span class="seen-by-readers"> {{ parameterOf(reading).label }}</span>
              </el-button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div class="pages">
      <el-button v-if="skip > 0" type="primary" text @click="skip -= PAGE">Newer</el-button>
      <el-button v-if="rows.length === PAGE" type="primary" text @click="skip += PAGE"> Older </el-button>
    </div>
  </AsyncState>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th,
td {
  padding: 6px 14px 6px 0;
  border-bottom: 1px solid var(--hair);
  text-align: left;
}

.right {
  text-align: right;
  white-space: nowrap;
}

.early {
  color: var(--amber);
}
</style>
