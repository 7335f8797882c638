<script setup lang="ts">
import { texts } from './texts'
import { refDebounced } from '@vueuse/core'
import { computed, ref, shallowRef, toRaw, watch } from 'vue'
import { useTank } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import FileChoice from '@/shared/components/FileChoice.vue'
import { shortDay, windowWords } from '@/shared/dates'
import { useSending } from '@/shared/form'
import ColumnKeys from './ColumnKeys.vue'
import PhraseKeys from './PhraseKeys.vue'
import WhatComesIn from './WhatComesIn.vue'
import {
  guessKey,
  previewNotebook,
  useBringIn,
  type Brought,
  type Key,
  type KeyView,
  type Preview,
} from './queries'
import { keepingAnswers, textOf } from './reading'

/** At the table: a spreadsheet kept before becomes history. Nothing is stored until its keeper has seen what it says. */
const props = defineProps<{ tank: number }>()

const PAUSE_MS = 400
const tank = useTank(() => props.tank)
const bringIn = useBringIn(() => props.tank)
const { sending, trouble, errors, send } = useSending()

const name = ref('')
const csv = ref('')
const view = ref<KeyView>()
const key = ref<Key>()
const preview = ref<Preview>()
const brought = ref<Brought>()
/** The key of which the preview is. */
const previewed = shallowRef<Key>()
const touched = ref(new Set<string>())
const settled = refDebounced(key, PAUSE_MS)
const columns = computed(() => JSON.stringify([key.value?.columns, key.value?.order]))
let read = ''

async function choose(file: File) {
  name.value = file.name
  csv.value = await textOf(file)
  view.value = key.value = preview.value = brought.value = undefined
  touched.value = new Set()
  await guess()
}

/** Asks anew what the table says, under the columns that were set. */
async function guess() {
  const before = key.value
  const guessed = await send(() => guessKey(props.tank, csv.value, before))
  if (!guessed) return
  view.value = guessed
  key.value = keepingAnswers(guessed.key, before, touched.value)
  read = columns.value
}

/** What is shown is of the latest key, however fast it is changed. */
let following = false
async function follow() {
  if (following) return
  following = true
  let seen: Key | undefined
  while (settled.value && settled.value !== seen && !brought.value) {
    seen = settled.value
    preview.value = undefined
    if (columns.value !== read) await guess()
    else preview.value = await send(() => previewNotebook(props.tank, csv.value, seen as Key))
  }
  previewed.value = preview.value && toRaw(seen)
  following = false
}
watch(settled, follow)

async function confirm() {
  const table = { csv: csv.value, key: key.value, withoutFaults: true }
  brought.value = await send(() => bringIn.mutateAsync({ ...table, key: table.key as Key }))
}

const action = computed(() => {
  const one = preview.value
  if (!one) return ''
  const days = texts.bringIn(one.days, one.days === 1 ? 'day' : 'days')
  const rows = one.faultsInAll === 1 ? '1 row' : texts.rows(one.faultsInAll)
  return one.faultsInAll ? texts.without(days, rows) : days
})
</script>

<template>
  <main class="page">
    <AsyncState
      :pending="tank.isPending.value"
      :error="lacking(tank)"
      :what="texts.theTank"
      @retry="tank.refetch()"
    >
      <h1>{{ texts.bringInOldNotes(tank.data.value?.tank.name ?? '') }}</h1>
      <section v-if="brought" role="status">
        <p>
          <b>{{ texts.inTheLogNow(brought.days, brought.days === 1 ? texts.dayIs : texts.daysAre) }}</b>
          <template v-if="!brought.moved.length"> {{ texts.noDatesChanged }}</template>
        </p>
        <template v-if="brought.moved.length">
          <h2>{{ texts.whatChanged }}</h2>
          <ul>
            <li
              v-for="moved in brought.moved"
              :key="moved.taskId"
              class="py-2 edge-b-hair list-none"
              :data-moved="moved.name"
            >
              <b>{{ moved.name }}</b>
              <p>
                <span class="quiet">{{ texts.became(windowWords(moved.before.window)) }}</span>
                {{ texts.best(windowWords(moved.after.window), shortDay(moved.after.window.ideal))
                }}<template v-if="moved.after.intervalDays"
                  >{{ texts.every }} <span class="num">{{ moved.after.intervalDays }}</span>
                  {{ texts.days }}</template
                >
              </p>
              <p class="small quiet">{{ moved.reasons.join(' ') }}</p>
            </li>
          </ul>
        </template>
        <RouterLink :to="{ name: 'tank', params: { tank: props.tank } }">{{ texts.toTheTank }}</RouterLink>
      </section>
      <template v-else>
        <p class="quiet">
          {{ texts.aSpreadsheetOrList }}
        </p>
        <p class="flex gap-3 items-center my-3">
          <FileChoice
            accept=".csv,.tsv,.txt,text/csv,text/tab-separated-values,text/plain"
            :type="view ? undefined : 'primary'"
            :disabled="sending"
            @chosen="choose"
          >
            {{ view ? texts.chooseAnotherTable : texts.chooseATable }}
          </FileChoice>
          <span v-if="view" class="quiet">{{ texts.rows2(name, view.rows) }}</span>
        </p>
        <p v-if="sending && !view" class="quiet" role="status">{{ texts.readingTheTable }}</p>
        <p v-if="errors.csv ?? trouble" class="trouble" role="alert">{{ errors.csv ?? trouble }}</p>
        <div v-if="view && key" class="sides grid cols-[8_5] gap-40px items-start max-desk:cols-1">
          <div>
            <ColumnKeys v-model="key" :view="view" :errors="errors" />
            <PhraseKeys
              v-model="key"
              :view="view"
              @touched="(words) => (touched = new Set([...touched, words]))"
            />
          </div>
          <aside class="sticky top-20px max-desk:static">
            <WhatComesIn
              v-if="preview"
              :preview="preview"
              :stood-since="key.stoodSince"
              @older="(stoodSince) => (key = { ...key!, stoodSince })"
            >
              <el-button
                type="primary"
                :loading="sending"
                :disabled="preview.days === 0 || toRaw(previewed) !== toRaw(key)"
                @click="confirm"
              >
                {{ action }}
              </el-button>
            </WhatComesIn>
            <p v-else-if="sending" class="quiet" role="status">{{ texts.readingTheTable }}</p>
          </aside>
        </div>
      </template>
    </AsyncState>
  </main>
</template>

<style scoped>
aside .el-button--primary {
  margin: 6px 0 14px;
}
</style>
