<script setup lang="ts">
import { computed } from 'vue'
import { wordsOf } from '@/shared/problem'
import { offerUndo } from '@/shared/undo'
import type { Page, Values } from './catalogue'
import { choreOf } from './chore'
import DoAdopt from './DoAdopt.vue'
import DoChore from './DoChore.vue'
import DoFlow from './DoFlow.vue'
import DoMedia from './DoMedia.vue'
import DoSheets from './DoSheets.vue'
import { asJson, asSvg, keepFile } from './files'
import { changeAt, templateAt } from './onward'
import type { Piece } from './picture'
import type { Known } from './prefill'
import { useKeep, type Answer, type Given, type Sum } from './queries'
import { asText, givenLines, linesOf } from './results'

/** What can be done with an answer: where it belongs, kept for the tank, copied, printed, as a file. */
const props = defineProps<{
  page: Page
  sum: Sum
  tank: number
  known: Known
  given: Given
  answer: Answer
}>()

const keep = useKeep()
const values = computed<Values>(() => props.answer.values)
const handing = computed(() => changeAt(props.sum.name, props.tank, props.given, values.value))
const chore = computed(() => choreOf(props.sum.name, props.given, values.value))
const template = computed(() => templateAt(props.sum.name, props.given, values.value))

async function remember() {
  const before = props.known.kept?.find((one) => one.sum === props.sum.name)?.given
  try {
    await keep.mutateAsync({ tank: props.tank, name: props.sum.name, given: props.given })
    offerUndo('Kept for this tank.', () =>
      keep.mutateAsync({ tank: props.tank, name: props.sum.name, given: before ?? {} }),
    )
  } catch (failure) {
    ElMessage({ message: wordsOf(failure), type: 'error' })
  }
}

const told = computed(() => givenLines(props.sum, props.sum.fields, props.given))

async function copy() {
  const text = asText(
    props.page.question,
    props.page.says(values.value, props.given),
    told.value,
    linesOf(props.sum, values.value),
    props.page.unsure,
  )
  await navigator.clipboard.writeText(text).then(
    () => ElMessage({ message: 'Copied.', type: 'success' }),
    () => ElMessage({ message: 'This browser does not let us copy.', type: 'error' }),
  )
}

const json = () =>
  keepFile(
    `${props.sum.name}.json`,
    'application/json',
    asJson(props.sum.name, props.given, values.value, props.answer.warnings),
  )
const svg = () => {
  const pieces = (values.value.pieces as unknown as (Piece & { sheet?: number })[]).filter(
    (piece) => !piece.sheet,
  )
  keepFile(
    'cut.svg',
    'image/svg+xml',
    asSvg(Number(props.given.sheetWMm), Number(props.given.sheetHMm), pieces, props.given.shape === 'CIRCLE'),
  )
}
const print = () => {
  globalThis.print()
}
</script>

<template>
  <section aria-label="What to do with it">
    <DoFlow v-if="sum.name === 'catch'" :tank="tank" :known="known" :given="given" :answer="answer" />
    <DoMedia v-else-if="sum.name === 'hold'" :known="known" :answer="answer" />
    <DoSheets v-else-if="sum.name === 'cut' || sum.name === 'cutlist'" :known="known" :answer="answer" />
    <RouterLink v-if="template" class="el-button" :to="template">Print a template at true size</RouterLink>
    <DoChore v-if="chore && tank" :tank="tank" :chore="chore" />
    <DoAdopt v-if="sum.name === 'cost'" :known="known" :given="given" />
    <RouterLink v-if="handing" class="el-button el-button--primary" :to="handing"
      >Hand it to the water change</RouterLink
    >
    <RouterLink
      v-if="sum.name === 'buckets' || sum.name === 'conditioner'"
      class="el-button"
      :to="{ name: 'vessels' }"
      >Your tubs and caps</RouterLink
    >
    <div class="tools">
      <el-button v-if="tank" @click="remember">Keep for this tank</el-button>
      <el-button @click="copy">Copy as text</el-button>
      <el-button @click="print">Print</el-button>
      <el-button @click="json">Save as JSON</el-button>
      <el-button v-if="values.pieces" @click="svg">Save the cut as SVG</el-button>
    </div>
    <dl class="given">
      <div v-for="line in told" :key="line.label">
        <dt>{{ line.label }}</dt>
        <dd>{{ line.text }}</dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 14px;
  justify-items: start;
}

.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}

.tools .el-button {
  margin: 0;
}

.given {
  display: none;
}

/* On paper what was given stands below the answer, and nothing can be pressed. */
@media print {
  section > * {
    display: none;
  }

  .given {
    display: block;
    columns: 2;
    font-size: 12px;
  }

  .given div {
    display: flex;
    gap: 14px;
  }
}
</style>
