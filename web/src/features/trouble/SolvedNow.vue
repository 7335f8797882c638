<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import SelectField from '@/shared/components/SelectField.vue'
import { daysBetween, shortDay, today } from '@/shared/dates'
import { upperFirst } from '@/shared/words'
import type { Repair } from './network'
import type { Bearing, CaseSummary } from './queries'
import { BEARING, causeWords } from './words'

/** It is mended: what it was, what is learned from it, and the way to log the work. */
const props = defineProps<{
  repair: Repair
  summary: CaseSummary
  task?: number
  /** Whether the server knows of the end already. */
  known: boolean
}>()
const emit = defineEmits<{ overrule: [counts: Bearing]; back: [] }>()

const LATELY_DAYS = 7
/** Work of long ago is in the log already, or never will be. */
const lately = computed(
  () => !props.summary.closedOn || daysBetween(props.summary.closedOn, today()) <= LATELY_DAYS,
)
const counts = computed({
  get: () => props.summary.counts,
  set: (value: Bearing) => {
    emit('overrule', value)
  },
})
const learned = computed(() => BEARING.find(({ value }) => value === props.summary.counts)?.hint ?? '')
</script>

<template>
  <section aria-live="polite">
    <p class="small quiet">{{ texts.mended(summary.closedOn ? ` ${shortDay(summary.closedOn)}` : '') }}</p>
    <h2 class="mt-2px mb-2 text-28px">
      {{ summary.cause ? upperFirst(causeWords(summary.cause)) : texts.itWorksAgain }}
    </h2>
    <p>{{ texts.whatHelped(repair.words) }}</p>
    <div v-if="known" class="grid gap-10px max-w-420px my-3">
      <p>
        <b>{{ learned }}</b>
      </p>
      <SelectField v-model="counts" :label="texts.whatItsDaysSay" name="counts" :choices="BEARING" />
    </div>
    <div class="flex flex-wrap gap-10px mt-16px">
      <LinkButton
        v-if="task !== undefined && lately"
        type="primary"
        :to="{ name: 'log', params: { tank: summary.tankId }, query: { tasks: String(task) } }"
        >{{ texts.logTheWork }}</LinkButton
      >
      <LinkButton :to="{ name: 'tank', params: { tank: summary.tankId } }">{{ texts.toTheTank }}</LinkButton>
      <el-button text @click="emit('back')">{{ texts.itCameBackGo }}</el-button>
    </div>
  </section>
</template>
