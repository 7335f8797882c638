<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { inOurUnits } from '@/shared/units'
import CautionNote from '@/shared/components/CautionNote.vue'
import type { Page } from './catalogue'
import { drawingOf } from './picture'
import type { Answer, Given, Sum } from './queries'
import { linesOf } from './results'
import SumPicture from './SumPicture.vue'
import { labelFor, warningFor } from './words'

/** The answer, first and large: one sentence, its drawing, what to mind, and the rest line by line. */
const props = defineProps<{
  page: Page
  sum: Sum
  answer?: Answer
  given?: Given
  /** Paths of what is still missing. */
  missing: string[]
  /** Something that was typed is at fault. */
  wrong: boolean
}>()

const MOST_NAMED = 3
const says = computed(() => (props.answer ? props.page.says(props.answer.values, props.given) : ''))
const drawing = computed(() =>
  props.answer && props.given ? drawingOf(props.sum.name, props.given, props.answer.values) : undefined,
)
const lines = computed(() => (props.answer ? linesOf(props.sum, props.answer.values) : []))
const wanted = computed(() => {
  const names = props.missing.map((path) =>
    labelFor(props.sum.name, path.replace(/^.*\./, '').replace(/\[\d+\]$/, '')),
  )
  const all = [...new Set(names)].map((name) =>
    name.replace(/^./, (first) => first.toLowerCase()).replace(/\?$/, ''),
  )
  const more = all.length - MOST_NAMED
  return more > 0 ? texts.andMore(all.slice(0, MOST_NAMED).join(', '), more) : all.join(', ')
})
</script>

<template>
  <section :aria-label="texts.answer" aria-live="polite">
    <p v-if="answer" class="says mb-10px text-1.5rem font-700 leading-1.25 print:text-1.1rem">{{ says }}</p>
    <p v-else-if="wrong" class="says quiet mb-10px text-1.5rem leading-1.25 font-400 print:text-1.1rem">
      {{ texts.oneValueNeedsAnother }}
    </p>
    <p v-else class="says quiet mb-10px text-1.5rem leading-1.25 font-400 print:text-1.1rem">
      {{ wanted ? texts.stillToSay(wanted) : texts.workingItOut }}
    </p>
    <template v-if="answer">
      <ul v-if="answer.warnings.length" class="warnings">
        <li v-for="warning in answer.warnings" :key="warning" class="py-1 pl-12px mb-2 edge-l-4-amber">
          {{ inOurUnits(warningFor(sum.name, warning)) }}
        </li>
      </ul>
      <SumPicture v-if="drawing" :drawing="drawing" />
      <dl class="my-10px print:[columns:2] print:text-12px">
        <div
          v-for="line in lines"
          :key="line.label"
          class="flex gap-3 items-baseline justify-between py-5px edge-b-hair"
        >
          <dt>{{ line.label }}</dt>
          <dd class="num text-right">{{ line.text }}</dd>
        </div>
      </dl>
      <p v-if="page.unsure" class="quiet">{{ page.unsure }}</p>
    </template>
    <CautionNote v-if="page.caution" :text="page.caution" :again="false" />
  </section>
</template>

<style scoped>
/* A sum is one page, whatever it draws. */
</style>
