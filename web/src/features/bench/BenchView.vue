<script setup lang="ts">
import { texts } from './texts'
import { computed, reactive, ref } from 'vue'
import { useTanks } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import NumberField from '@/shared/components/NumberField.vue'
import SelectField from '@/shared/components/SelectField.vue'
import { useSending } from '@/shared/form'
import { typedNumber } from '@/shared/units'
import BenchNav from './BenchNav.vue'
import ComparisonTable from './ComparisonTable.vue'
import { useBeginFuture, useCancelFuture, useFuture, type Way } from './queries'

/** At the table: what the coming year would bring under two or three ways of working. */
const MOST_WAYS = 3
const WAYS: { value: Way; label: string; hint: string }[] = [
  { value: 'AS_LEARNED', label: texts.asLearned, hint: texts.findingsGoOnMoving },
  {
    value: 'MAKERS_CALENDAR',
    label: texts.makersCalendar,
    hint: texts.canistersEachMonthThe,
  },
  { value: 'HALF_AS_OFTEN', label: texts.halfAsOften, hint: texts.twiceTheDaysThat },
  {
    value: 'PREFILTER_ADDED',
    label: texts.aPreFilterAdded,
    hint: texts.lessDirtBehindIt,
  },
  { value: 'STOCKING_RAISED', label: texts.stockingRaisedByA, hint: texts.moreDirtMoreFood },
]

const tanks = useTanks()
const begin = useBeginFuture()
const cancel = useCancelFuture()
const { sending, errors, trouble, send, refuse } = useSending()

const form = reactive({
  tank: 0,
  ways: ['AS_LEARNED', 'HALF_AS_OFTEN'] as Way[],
  futures: '200',
  partPrice: '3',
})
const id = ref<string>()
const future = useFuture(id)
const run = computed(() => future.data.value)
const running = computed(() => id.value !== undefined && (run.value?.state ?? 'RUNNING') === 'RUNNING')

async function compare() {
  const futures = typedNumber(form.futures)
  const partPrice = typedNumber(form.partPrice)
  const wrong: Record<string, string> = {}
  if (!Number.isInteger(futures)) wrong.futures = texts.aWholeNumber20
  if (partPrice === undefined || Number.isNaN(partPrice)) wrong.partPrice = texts.thisIsNotA
  if (form.ways.length === 0) wrong.ways = texts.chooseOneToThree
  if (Object.keys(wrong).length) {
    refuse(wrong)
    return
  }
  const input = {
    tankId: form.tank || undefined,
    ways: WAYS.map((way) => way.value).filter((way) => form.ways.includes(way)),
    futures: futures ?? 0,
    partPrice: partPrice ?? 0,
  }
  const begun = await send(() => begin.mutateAsync(input))
  if (begun) id.value = begun.id
}

async function stop() {
  if (id.value) await cancel.mutateAsync(id.value)
  await future.refetch()
}
</script>

<template>
  <main class="page">
    <BenchNav />
    <AsyncState
      :pending="tanks.isPending.value"
      :error="lacking(tanks)"
      :what="texts.theTanks"
      @retry="tanks.refetch()"
    >
      <h1>{{ texts.whatIf2 }}</h1>
      <p class="quiet">
        {{ texts.aSimulationWeTake }}
      </p>
      <form
        class="ask flex flex-wrap gap-y-3 gap-x-28px items-start py-3"
        novalidate
        @submit.prevent="compare"
      >
        <SelectField
          v-model="form.tank"
          class="where w-220px"
          :label="texts.where"
          name="tankId"
          :choices="[
            { value: 0, label: texts.theWholeSite },
            ...(tanks.data.value ?? []).map((one) => ({ value: one.id, label: one.tank.name })),
          ]"
          :error="errors.tankId"
        />
        <fieldset class="border-0">
          <legend class="p-0 font-700">{{ texts.waysOfWorkingUp }}</legend>
          <el-checkbox-group v-model="form.ways" :max="MOST_WAYS" :aria-label="texts.waysOfWorking">
            <el-checkbox v-for="way in WAYS" :key="way.value" :value="way.value" class="way flex">
              {{ way.label }} <span class="small quiet">{{ way.hint }}</span>
            </el-checkbox>
          </el-checkbox-group>
          <span v-if="errors.ways" class="error" role="alert">{{ errors.ways }}</span>
        </fieldset>
        <div class="grid gap-10px justify-items-start">
          <NumberField
            v-model="form.futures"
            :label="texts.futuresEach"
            name="futures"
            :error="errors.futures"
          />
          <NumberField
            v-model="form.partPrice"
            :label="texts.partsWithoutAPrice"
            name="partPrice"
            :hint="texts.theRestCostWhat"
            :error="errors.partPrice"
          />
          <el-button type="primary" native-type="submit" :disabled="sending || running">{{
            texts.compare
          }}</el-button>
        </div>
      </form>
      <p v-if="trouble && !Object.keys(errors).length" role="alert">{{ trouble }}</p>
      <section v-if="running" class="progress flex gap-3 items-center" role="status">
        <el-progress
          class="w-[min(420px,60vw)]"
          :percentage="Math.round((100 * (run?.done ?? 0)) / (run?.total ?? 1))"
          :show-text="false"
          :stroke-width="14"
          :aria-label="texts.yearsSimulated"
        />
        <span class="num">{{ texts.of(run?.done ?? 0, run?.total ?? '…') }}</span>
        <el-button type="primary" text @click="stop">{{ texts.stop }}</el-button>
      </section>
      <p v-else-if="future.isError.value" role="alert">
        {{ texts.weLostTheComparison }}
        <el-button type="primary" text @click="compare">{{ texts.compareAgain }}</el-button>
      </p>
      <p v-else-if="run?.state === 'CANCELLED'" role="status">{{ texts.stoppedNothingWasKept }}</p>
      <p v-else-if="run?.state === 'FAILED'" role="alert">{{ texts.theComparisonFailedTry }}</p>
      <ComparisonTable v-else-if="run" :comparison="run" />
      <p v-else class="quiet">{{ texts.chooseWaysAndCompare }}</p>
    </AsyncState>
  </main>
</template>
