<script setup lang="ts">
import { texts } from './texts'
import { computed, ref, watch } from 'vue'
import { FINDINGS } from '@/shared/words'
import type { Key, KeyView, Phrase } from './queries'
import { unclearFirst } from './reading'

/** What each phrase and each word of the table means; what is not clear stands first. */
const props = defineProps<{ view: KeyView }>()
const key = defineModel<Key>({ required: true })
const emit = defineEmits<{ touched: [words: string] }>()

const MOST = 20
const all = ref(false)
const several = computed(() => props.view.filters.length > 1)
// The order stays as it was when the table was read, so that no row jumps away from under a hand.
const rows = ref(unclearFirst(props.view, key.value))
watch(
  () => props.view,
  (view) => (rows.value = unclearFirst(view, key.value)),
)
const phrases = computed(() => new Map(key.value.work.map((one) => [one.phrase, one])))
const shown = computed(() =>
  rows.value
    .slice(0, all.value ? undefined : MOST)
    .map((row) => ({ ...row, phrase: phrases.value.get(row.phrase.phrase) ?? row.phrase })),
)
const times = computed(() => new Map(props.view.words.map((one) => [one.words, one.times])))

function set(phrase: Phrase, change: Partial<Phrase>) {
  emit('touched', phrase.phrase)
  key.value = {
    ...key.value,
    work: key.value.work.map((one) => (one.phrase === phrase.phrase ? { ...one, ...change } : one)),
  }
}

const setTasks = (phrase: Phrase, tasks: number[]) =>
  set(phrase, { tasks, use: tasks.length ? 'DONE' : 'NOTED' })

function setGrade(word: string, found: Phrase['found']) {
  emit('touched', word)
  key.value = {
    ...key.value,
    grades: key.value.grades.map((one) => (one.word === word ? { word, found } : one)),
  }
}
</script>

<template>
  <section v-if="rows.length" aria-labelledby="phrases">
    <h2 id="phrases">{{ texts.whatItsWordsMean }}</h2>
    <p class="quiet small">
      {{ texts.chooseTheWorkThat }}
    </p>
    <ul>
      <li
        v-for="{ phrase, times: often } in shown"
        :key="phrase.phrase"
        class="grid cols-[5_6_170px] gap-y-6px gap-x-16px items-center py-6px edge-b-hair list-none max-tablet:cols-1"
        :data-phrase="phrase.phrase"
      >
        <p>
          “{{ phrase.phrase }}” <span class="quiet small num">× {{ often }}</span>
        </p>
        <el-select
          multiple
          filterable
          :aria-label="texts.workMeantBy(phrase.phrase)"
          :model-value="phrase.tasks"
          :placeholder="phrase.use === 'LEFT_OUT' ? texts.leftOut : texts.aNote"
          :no-match-text="texts.nothingByThatName"
          :no-data-text="texts.thisTankHasNo"
          @update:model-value="(tasks: number[]) => setTasks(phrase, tasks)"
        >
          <el-option
            v-for="task in view.tasks"
            :key="task.id"
            :value="task.id"
            :label="several ? `${task.name}, ${task.filter}` : task.name"
          />
        </el-select>
        <el-select
          v-if="phrase.use === 'DONE'"
          clearable
          :aria-label="texts.whatSaysWasFound(phrase.phrase)"
          :model-value="phrase.found"
          :placeholder="texts.saysNothingOfDirt"
          @update:model-value="(found: Phrase['found']) => set(phrase, { found: found || undefined })"
        >
          <el-option v-for="one in FINDINGS" :key="one.value" :value="one.value" :label="one.label" />
        </el-select>
        <el-checkbox
          v-else
          :model-value="phrase.use === 'LEFT_OUT'"
          @update:model-value="(out) => set(phrase, { use: out === true ? 'LEFT_OUT' : 'NOTED', tasks: [] })"
        >
          {{ texts.leaveOut }}
        </el-checkbox>
      </li>
    </ul>
    <el-button v-if="!all && rows.length > MOST" type="primary" text @click="all = true">
      {{ texts.showAll(rows.length) }}
    </el-button>
  </section>
  <section v-if="key.grades.length" aria-labelledby="grades">
    <h2 id="grades">{{ texts.howDirtyIsThat }}</h2>
    <p class="quiet small">{{ texts.whatStaysEmptyIs }}</p>
    <ul>
      <li
        v-for="grade in key.grades"
        :key="grade.word"
        class="grid cols-[5_6_170px] gap-y-6px gap-x-16px items-center py-6px edge-b-hair list-none max-tablet:cols-1"
        :data-word="grade.word"
      >
        <p>
          “{{ grade.word }}” <span class="quiet small num">× {{ times.get(grade.word) ?? 0 }}</span>
        </p>
        <el-select
          clearable
          :aria-label="texts.howDirtyIs(grade.word)"
          :model-value="grade.found"
          :placeholder="texts.saysNothingOfDirt"
          @update:model-value="(found: Phrase['found']) => setGrade(grade.word, found || undefined)"
        >
          <el-option v-for="one in FINDINGS" :key="one.value" :value="one.value" :label="one.label">
            {{ one.label }} <span class="quiet small">{{ one.hint }}</span>
          </el-option>
        </el-select>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li :deep(.el-tag) {
  font-size: 14px;
}

section + section {
  margin-top: 18px;
}
</style>
