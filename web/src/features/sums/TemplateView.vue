<script setup lang="ts">
import { texts } from './texts'
import { computed, onUnmounted, reactive, watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import { BenchNav } from '@/features/bench'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import { unitOf } from '@/shared/units'
import { tell } from './measures'
import { useAnswer } from './queries'
import TemplateSheet from './TemplateSheet.vue'
import { PAPERS, sheetsOf, type Paper } from './template'

/** At the table: a piece of foam at true size, to be printed, checked by its bar, joined and laid on the sheet. */
const MARGIN_MM = 10
const OVERLAP_MM = 10
/** By which a page is larger than what is on it, so that rounding never breaks a sheet in two. */
const SLACK_MM = 0.5

const route = useRoute()
const asked = (name: string) => Number(route.query[name] ?? 0)
const piece = {
  a: asked('aMm'),
  b: asked('bMm') || asked('aMm'),
  hole: asked('holeMm'),
  round: route.query.shape === 'CIRCLE',
}
const form = reactive({ paper: (unitOf('LENGTH').symbol === 'm' ? 'A4' : 'LETTER') as Paper })
const given = computed(() => ({
  aMm: piece.a,
  bMm: piece.b,
  paper: form.paper,
  marginMm: MARGIN_MM,
  overlapMm: OVERLAP_MM,
}))
const tiles = useAnswer('tiles', given)
const lying = computed(() => tiles.data.value?.values.turn === 'LANDSCAPE')
const sheets = computed(() => {
  const values = tiles.data.value?.values
  return values
    ? sheetsOf(Number(values.across), Number(values.down), {
        paper: form.paper,
        lying: lying.value,
        margin: MARGIN_MM,
        overlap: OVERLAP_MM,
      })
    : []
})
/** The paper as printers know it; true size needs it named. */
const pageRule = computed(() => {
  const [shorter, longer] = PAPERS[form.paper]
  const size = (lying.value ? [longer, shorter] : [shorter, longer]).map((mm) => `${String(mm)}mm`).join(' ')
  return `@page { size: ${size}; margin: ${String(MARGIN_MM - SLACK_MM)}mm; }`
})
const pageStyle = new CSSStyleSheet()
watchEffect(() => {
  pageStyle.replaceSync(pageRule.value)
})
document.adoptedStyleSheets = [...document.adoptedStyleSheets, pageStyle]
onUnmounted(() => {
  document.adoptedStyleSheets = document.adoptedStyleSheets.filter((one) => one !== pageStyle)
})
const print = () => {
  globalThis.print()
}
</script>

<template>
  <main class="page print:p-0 print:m-0">
    <div class="print:hidden">
      <BenchNav />
      <h1>{{ texts.templateAtTrueSize }}</h1>
      <p v-if="tiles.isError.value" role="alert">
        {{ texts.thisSizeCannotBe(tell('MILLIMETRES', 1), tell('MILLIMETRES', 10_000)) }}
      </p>
      <template v-else>
        <ChoiceRow
          v-model="form.paper"
          :legend="texts.paper"
          name="paper"
          :choices="[
            { value: 'A4', label: 'A4' },
            { value: 'LETTER', label: texts.letter },
          ]"
        />
        <ol class="pl-20px list-decimal my-3">
          <li>{{ texts.printAtActualSize(sheets.length) }}</li>
          <li>{{ texts.measureTheBarOn }}</li>
          <li>{{ texts.layThePagesEdge }}</li>
          <li>{{ texts.layItOnThe }}</li>
        </ol>
        <el-button type="primary" :disabled="!sheets.length" @click="print">{{ texts.printIt }}</el-button>
      </template>
    </div>
    <div class="overflow-x-auto print:overflow-visible">
      <TemplateSheet
        v-for="sheet in sheets"
        :key="sheet.name"
        :sheet="sheet"
        :piece="piece"
        :overlap="OVERLAP_MM"
      />
    </div>
  </main>
</template>
