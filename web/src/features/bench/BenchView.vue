<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { useTanks } from '@/features/tank'
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
  { value: 'AS_LEARNED', label: 'As learned', hint: 'findings go on moving the dates' },
  {
    value: 'MAKERS_CALENDAR',
    label: 'Maker’s calendar',
    hint: 'canisters each month, the rest as the catalogue starts',
  },
  { value: 'HALF_AS_OFTEN', label: 'Half as often', hint: 'twice the days that were learned' },
  {
    value: 'PREFILTER_ADDED',
    label: 'A pre-filter added',
    hint: 'less dirt behind it, and a sponge to rinse',
  },
  { value: 'STOCKING_RAISED', label: 'Stocking raised by a step', hint: 'more dirt, more food' },
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
  if (!Number.isInteger(futures)) wrong.futures = 'A whole number, 20 to 1,000.'
  if (partPrice === undefined || Number.isNaN(partPrice)) wrong.partPrice = 'This is not a number.'
  if (form.ways.length === 0) wrong.ways = 'Choose one to three ways.'
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
      :error="tanks.error.value"
      what="the tanks"
      @retry="tanks.refetch()"
    >
      <h1>What if?</h1>
      <p class="quiet">
        A simulation: we take what we know of each stage today and run the coming year many times, luck
        included. It compares ways of working; it is not a promise.
      </p>
      <form
        class="ask flex flex-wrap gap-y-3 gap-x-28px items-start py-3"
        novalidate
        @submit.prevent="compare"
      >
        <SelectField
          v-model="form.tank"
          class="where w-220px"
          label="Where"
          name="tankId"
          :choices="[
            { value: 0, label: 'The whole site' },
            ...(tanks.data.value ?? []).map((one) => ({ value: one.id, label: one.tank.name })),
          ]"
          :error="errors.tankId"
        />
        <fieldset class="border-0">
          <legend class="p-0 font-700">Ways of working, up to three</legend>
          <el-checkbox-group v-model="form.ways" :max="MOST_WAYS" aria-label="Ways of working">
            <el-checkbox v-for="way in WAYS" :key="way.value" :value="way.value" class="way flex">
              {{ way.label }} <span class="small quiet">{{ way.hint }}</span>
            </el-checkbox>
          </el-checkbox-group>
          <span v-if="errors.ways" class="error" role="alert">{{ errors.ways }}</span>
        </fieldset>
        <div class="grid gap-10px justify-items-start">
          <NumberField v-model="form.futures" label="Futures each" name="futures" :error="errors.futures" />
          <NumberField
            v-model="form.partPrice"
            label="Parts without a price cost"
            name="partPrice"
            hint="The rest cost what Stores says"
            :error="errors.partPrice"
          />
          <el-button type="primary" native-type="submit" :disabled="sending || running">Compare</el-button>
        </div>
      </form>
      <p v-if="trouble && !Object.keys(errors).length" role="alert">{{ trouble }}</p>
      <section v-if="running" class="progress flex gap-3 items-center" role="status">
        <el-progress
          class="w-[min(420px,60vw)]"
          :percentage="Math.round((100 * (run?.done ?? 0)) / (run?.total ?? 1))"
          :show-text="false"
          :stroke-width="14"
          aria-label="Years simulated"
        />
        <span class="num">{{ run?.done ?? 0 }} of {{ run?.total ?? '…' }}</span>
        <el-button type="primary" text @click="stop">Stop</el-button>
      </section>
      <p v-else-if="future.isError.value" role="alert">
        We lost the comparison.
        <el-button type="primary" text @click="compare">Compare again</el-button>
      </p>
      <p v-else-if="run?.state === 'CANCELLED'" role="status">Stopped; nothing was kept.</p>
      <p v-else-if="run?.state === 'FAILED'" role="alert">The comparison failed. Try it again.</p>
      <ComparisonTable v-else-if="run" :comparison="run" />
      <p v-else class="quiet">Choose ways and compare; each is shown as a spread, not as one number.</p>
    </AsyncState>
  </main>
</template>
