<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { useTanks } from '@/features/tank'
import AsyncState from '@/shared/components/AsyncState.vue'
import TextField from '@/shared/components/TextField.vue'
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
  tank: '',
  ways: ['AS_LEARNED', 'HALF_AS_OFTEN'] as Way[],
  futures: '200',
  partPrice: '3',
})
const id = ref<string>()
const future = useFuture(id)
const run = computed(() => future.data.value)
const running = computed(() => id.value !== undefined && (run.value?.state ?? 'RUNNING') === 'RUNNING')
const full = computed(() => form.ways.length >= MOST_WAYS)

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
    tankId: form.tank ? Number(form.tank) : undefined,
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
        A simulation: what is believed of every stage today, lived through the coming year many times with
        chance. It compares ways of working; it promises nothing.
      </p>
      <form class="ask" novalidate @submit.prevent="compare">
        <label class="where">
          <b>Where</b>
          <select v-model="form.tank" name="tankId">
            <option value="">The whole site</option>
            <option v-for="tank in tanks.data.value" :key="tank.id" :value="String(tank.id)">
              {{ tank.tank.name }}
            </option>
          </select>
          <span v-if="errors.tankId" class="error" role="alert">{{ errors.tankId }}</span>
        </label>
        <fieldset>
          <legend>Ways of working, up to three</legend>
          <label v-for="way in WAYS" :key="way.value" class="way">
            <input
              v-model="form.ways"
              type="checkbox"
              :value="way.value"
              :disabled="full && !form.ways.includes(way.value)"
            />
            <span
              >{{ way.label }} <span class="small quiet">{{ way.hint }}</span></span
            >
          </label>
          <span v-if="errors.ways" class="error" role="alert">{{ errors.ways }}</span>
        </fieldset>
        <div class="numbers">
          <TextField
            v-model="form.futures"
            label="Futures each"
            name="futures"
            type="number"
            :error="errors.futures"
          />
          <TextField
            v-model="form.partPrice"
            label="Parts without a price cost"
            name="partPrice"
            type="number"
            hint="Others as in the stores"
            :error="errors.partPrice"
          />
          <button class="button" type="submit" :disabled="sending || running">Compare</button>
        </div>
      </form>
      <p v-if="trouble && !Object.keys(errors).length" role="alert">{{ trouble }}</p>
      <section v-if="running" class="progress" role="status">
        <progress :value="run?.done ?? 0" :max="run?.total ?? 1" aria-label="Futures lived" />
        <span class="num">{{ run?.done ?? 0 }} of {{ run?.total ?? '…' }}</span>
        <button class="button plain" type="button" @click="stop">Stop</button>
      </section>
      <p v-else-if="future.isError.value" role="alert">
        The comparison was lost.
        <button class="button plain" type="button" @click="compare">Compare again</button>
      </p>
      <p v-else-if="run?.state === 'CANCELLED'" role="status">Stopped; nothing was kept.</p>
      <p v-else-if="run?.state === 'FAILED'" role="alert">The comparison failed. Try it again.</p>
      <ComparisonTable v-else-if="run" :comparison="run" />
      <p v-else class="quiet">Choose ways and compare; each is shown as a spread, not as one number.</p>
    </AsyncState>
  </main>
</template>

<style scoped>
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 14px 28px;
  align-items: start;
  padding: 14px 0;
}

.where {
  display: grid;
  gap: 4px;
}

.numbers {
  display: grid;
  gap: 10px;
  justify-items: start;
}

legend {
  padding: 0;
  font-weight: 700;
}

fieldset {
  padding: 0;
  border: 0;
}

.way {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 34px;
}

.error {
  color: var(--brick);
}

.progress {
  display: flex;
  gap: 14px;
  align-items: center;
}

progress {
  width: min(420px, 60vw);
  height: 14px;
}
</style>
