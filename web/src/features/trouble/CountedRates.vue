<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import { momentWords } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { counted, upperFirst } from '@/shared/words'
import { useCounting, useRates } from './queries'
import { causeWords } from './words'

/** What this site's own closed cases say of how often each cause is met here; the keeper can begin anew. */
const rates = useRates()
const counting = useCounting()
const { sending, trouble, send } = useSending()

const found = computed(() =>
  (rates.data.value?.causes ?? []).filter(({ times }) => times > 0).toSorted((a, b) => b.factor - a.factor),
)
const percent = (share: number) => `${String(Math.max(1, Math.round(share * 100)))} %`

async function anew() {
  const done = await send(() => counting.mutateAsync(true))
  if (done) offerUndo(texts.countingBeginsAnew, () => counting.mutateAsync(false))
}
</script>

<template>
  <section aria-labelledby="rates">
    <h2 id="rates">{{ texts.whatIsMetHere }}</h2>
    <AsyncState
      :pending="rates.isPending.value"
      :error="lacking(rates)"
      :what="texts.whatWasCounted"
      @retry="rates.refetch()"
    >
      <template v-if="rates.data.value">
        <p class="small quiet">
          {{
            texts.countedOurOwnNumbers(
              counted(rates.data.value.cases, texts.closedCase),
              rates.data.value.since ? texts.since(momentWords(rates.data.value.since)) : '',
              rates.data.value.priorCases,
            )
          }}
        </p>
        <ul class="grid gap-2 my-10px list-none">
          <li v-for="one in found" :key="one.cause" class="grid">
            <b>{{ upperFirst(causeWords(one.cause)) }}</b>
            <span class="quiet">
              {{
                texts.foundOfNowExpected(
                  one.times,
                  counted(one.cases, 'time'),
                  percent(one.expected * one.factor),
                  percent(one.expected),
                )
              }}</span
            >
          </li>
        </ul>
        <el-button v-if="rates.data.value.cases" :disabled="sending" @click="anew">{{
          texts.beginCountingAnew
        }}</el-button>
        <p v-if="trouble" class="error" role="alert">{{ trouble }}</p>
      </template>
    </AsyncState>
  </section>
</template>
