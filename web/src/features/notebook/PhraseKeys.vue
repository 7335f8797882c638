<script setup lang="ts">
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
    <h2 id="phrases">What its words mean</h2>
    <p class="quiet small">
      Choose the work that each stands for. What is no work is kept as a note of its day.
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
          :aria-label="`Work meant by ${phrase.phrase}`"
          :model-value="phrase.tasks"
          :placeholder="phrase.use === 'LEFT_OUT' ? 'Left out' : 'A note'"
          no-match-text="Nothing by that name"
          no-data-text="This tank has no tasks"
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
          :aria-label="`What ${phrase.phrase} says was found`"
          :model-value="phrase.found"
          placeholder="says nothing of dirt"
          @update:model-value="(found: Phrase['found']) => set(phrase, { found: found || undefined })"
        >
          <el-option v-for="one in FINDINGS" :key="one.value" :value="one.value" :label="one.label" />
        </el-select>
        <el-checkbox
          v-else
          :model-value="phrase.use === 'LEFT_OUT'"
          @update:model-value="(out) => set(phrase, { use: out === true ? 'LEFT_OUT' : 'NOTED', tasks: [] })"
        >
          Leave out
        </el-checkbox>
      </li>
    </ul>
    <el-button v-if="!all && rows.length > MOST" type="primary" text @click="all = true">
      Show all {{ rows.length }}
    </el-button>
  </section>
  <section v-if="key.grades.length" aria-labelledby="grades">
    <h2 id="grades">How dirty is that?</h2>
    <p class="quiet small">What stays empty is kept as a note.</p>
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
          :aria-label="`How dirty ${grade.word} is`"
          :model-value="grade.found"
          placeholder="says nothing of dirt"
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
