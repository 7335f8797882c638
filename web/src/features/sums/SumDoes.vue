<script setup lang="ts">
import { texts } from './texts'
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
    offerUndo(texts.keptForThisTank, () =>
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
    () => ElMessage({ message: texts.copied, type: 'success' }),
    () => ElMessage({ message: texts.thisBrowserDoesNot, type: 'error' }),
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
  <section class="grid gap-3 justify-items-start" :aria-label="texts.whatToDoWith">
    <DoFlow
      v-if="sum.name === 'catch'"
      class="print:hidden"
      :tank="tank"
      :known="known"
      :given="given"
      :answer="answer"
    />
    <DoMedia v-else-if="sum.name === 'hold'" class="print:hidden" :known="known" :answer="answer" />
    <DoSheets
      v-else-if="sum.name === 'cut' || sum.name === 'cutlist'"
      class="print:hidden"
      :known="known"
      :answer="answer"
    />
    <RouterLink v-if="template" class="el-button print:hidden" :to="template">{{
      texts.printATemplateAt
    }}</RouterLink>
    <DoChore v-if="chore && tank" class="print:hidden" :tank="tank" :chore="chore" />
    <DoAdopt v-if="sum.name === 'cost'" class="print:hidden" :known="known" :given="given" />
    <RouterLink v-if="handing" class="el-button el-button--primary print:hidden" :to="handing">{{
      texts.handItToThe
    }}</RouterLink>
    <RouterLink
      v-if="sum.name === 'buckets' || sum.name === 'conditioner'"
      class="el-button print:hidden"
      :to="{ name: 'vessels' }"
      >{{ texts.yourTubsAndCaps }}</RouterLink
    >
    <div class="flex flex-wrap gap-10px">
      <el-button v-if="tank" class="m-0" @click="remember">{{ texts.keepForThisTank }}</el-button>
      <el-button class="m-0" @click="copy">{{ texts.copyAsText }}</el-button>
      <el-button class="m-0" @click="print">{{ texts.print }}</el-button>
      <el-button class="m-0" @click="json">{{ texts.saveAsJson }}</el-button>
      <el-button v-if="values.pieces" class="m-0" @click="svg">{{ texts.saveTheCutAs }}</el-button>
    </div>
    <dl class="hidden print:block print:[columns:2] print:text-12px">
      <div v-for="line in told" :key="line.label" class="print:flex print:gap-3">
        <dt>{{ line.label }}</dt>
        <dd>{{ line.text }}</dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
/* On paper what was given stands below the answer, and nothing can be pressed. */
</style>
