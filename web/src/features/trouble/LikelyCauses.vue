<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { upperFirst } from '@/shared/words'
import { becauseOf, chanceWords } from './because'
import type { Inquiry, Likely, Step } from './finder'
import type { Known } from './network'
import { causeWords } from './words'

/** The three likeliest causes as bars, each with what speaks for it. */
const props = defineProps<{ causes: Likely[]; inquiry: Inquiry; known: Known; steps: Step[] }>()

const shown = computed(() =>
  props.causes.slice(0, 3).map(({ cause, probability }) => ({
    cause,
    probability,
    words: upperFirst(causeWords(cause)),
    ...becauseOf(cause, props.inquiry, props.known, props.steps),
  })),
)
const percent = (share: number) =>
  share < 0.01 ? 'under 1 %' : `${String(Math.min(99, Math.round(share * 100)))} %`
</script>

<template>
  <section aria-labelledby="likely">
    <h3 id="likely">{{ texts.whatItMayBe }}</h3>
    <ol class="grid gap-3 my-2 list-none">
      <li v-for="(one, i) in shown" :key="one.cause">
        <p class="what flex flex-wrap gap-y-2px gap-x-10px justify-between">
          <b>{{ one.words }}</b>
          <span class="quiet">{{ chanceWords(one.probability) }}, {{ percent(one.probability) }}</span>
        </p>
        <div class="bar h-10px my-1 bg-hair" aria-hidden="true">
          <i class="block h-full bg-herb" :style="{ width: `${one.probability * 100}%` }" />
        </div>
        <p class="small quiet">
          {{
            one.reasons.length
              ? texts.because(one.reasons.join('; '))
              : i === 0
                ? texts.itIsSimplyThe
                : texts.nothingSpeaksForIt
          }}
          <template v-if="one.against"> {{ texts.againstIt(one.against) }}</template>
        </p>
      </li>
    </ol>
    <p class="small quiet">{{ texts.twoFaultsAtOnce }}</p>
  </section>
</template>
