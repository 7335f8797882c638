<script setup lang="ts">
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
  return more > 0 ? `${all.slice(0, MOST_NAMED).join(', ')} and ${String(more)} more` : all.join(', ')
})
</script>

<template>
  <section aria-label="Answer" aria-live="polite">
    <p v-if="answer" class="says">{{ says }}</p>
    <p v-else-if="wrong" class="says quiet">One value needs another look.</p>
    <p v-else class="says quiet">{{ wanted ? `Still to say: ${wanted}.` : 'Working it out …' }}</p>
    <template v-if="answer">
      <ul v-if="answer.warnings.length" class="warnings">
        <li v-for="warning in answer.warnings" :key="warning">
          {{ inOurUnits(warningFor(sum.name, warning)) }}
        </li>
      </ul>
      <SumPicture v-if="drawing" :drawing="drawing" />
      <dl>
        <div v-for="line in lines" :key="line.label">
          <dt>{{ line.label }}</dt>
          <dd class="num">{{ line.text }}</dd>
        </div>
      </dl>
      <p v-if="page.unsure" class="quiet">{{ page.unsure }}</p>
    </template>
    <CautionNote v-if="page.caution" :text="page.caution" :again="false" />
  </section>
</template>

<style scoped>
.says {
  margin: 0 0 10px;
  font-size: 1.5rem;
  font-weight: 700;
  line-height: 1.25;
}

.says.quiet {
  font-weight: 400;
}

.warnings li {
  padding: 4px 0 4px 12px;
  margin-bottom: 8px;
  border-left: 4px solid var(--amber);
}

dl {
  margin: 10px 0;
}

dl div {
  display: flex;
  gap: 14px;
  align-items: baseline;
  justify-content: space-between;
  padding: 5px 0;
  border-bottom: 1px solid var(--hair);
}

dd {
  margin: 0;
  text-align: right;
}

/* A sum is one page, whatever it draws. */
@media print {
  .says {
    font-size: 1.1rem;
  }

  dl {
    columns: 2;
    font-size: 12px;
  }
}
</style>
