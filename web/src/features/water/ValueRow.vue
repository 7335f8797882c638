<script setup lang="ts">
import { texts } from './texts'
import { computed, useTemplateRef } from 'vue'
import SelectField from '@/shared/components/SelectField.vue'
import { agoWords } from '@/shared/dates'
import type { Method, Parameter, Reading } from './queries'
import { stateOf, type ValueDraft } from './tests'
import { useUnits } from './units'

/** One parameter being read: its last value beside, its test with its times, what is typed. */
const props = defineProps<{
  parameter: Parameter
  last?: Reading
  methods: Method[]
  due: boolean
  now: number
  error?: string
  doubt?: string
}>()
const value = defineModel<ValueDraft>({ required: true })
const emit = defineEmits<{ chosen: []; next: [] }>()

const input = useTemplateRef<HTMLInputElement>('input')
const { scale, words } = useUnits()
const method = computed(
  () => props.methods.find((one) => one.name === value.value.method) ?? props.methods[0],
)
const state = computed(() =>
  method.value && value.value.startedAt !== undefined
    ? stateOf(method.value, value.value.startedAt, props.now)
    : undefined,
)
const clock = computed(() => {
  const seconds = Math.ceil((state.value?.leftMs ?? 0) / 1000)
  return `${String(Math.floor(seconds / 60))}:${String(seconds % 60).padStart(2, '0')}`
})
const DOING = { SHAKE: 'Shake', WAIT: 'Wait' }

/** What is typed while the kit still waits is kept, and marked. */
function typed() {
  if (state.value?.step) value.value.early = value.value.text !== ''
  else if (value.value.text === '') value.value.early = false
}

defineExpose({ focus: () => input.value?.focus(), typed })
</script>

<template>
  <div
    class="grid cols-[1_158px] gap-y-2px gap-x-12px items-center py-5px edge-b-hair"
    :data-field="parameter.code"
  >
    <label :for="`value-${parameter.code}`">
      {{ parameter.label }}
      <b v-if="due" class="text-amber"><span aria-hidden="true">•</span> {{ texts.due }}</b>
      <span class="small quiet block">{{
        last ? texts.last(words(last, parameter), agoWords(last.takenAt.slice(0, 10))) : texts.neverRead
      }}</span>
    </label>
    <div class="flex row-[span_2] gap-2 items-center">
      <input
        :id="`value-${parameter.code}`"
        ref="input"
        v-model="value.text"
        class="w-100px min-h-touch edge-1.5-line rounded bg-surface text-ink [font:22px_var(--mono)] text-right"
        inputmode="none"
        autocomplete="off"
        :aria-invalid="error ? 'true' : undefined"
        :aria-describedby="error || doubt ? `note-${parameter.code}` : undefined"
        @focus="emit('chosen')"
        @input="typed"
        @keydown.enter.prevent="emit('next')"
      />
      <span class="unit quiet small">{{ scale(parameter).unit }}</span>
    </div>
    <div
      v-if="method && (method.steps.length || methods.length > 1)"
      class="test col-[1] flex flex-wrap gap-y-1 gap-x-2 items-center"
    >
      <SelectField
        v-if="methods.length > 1"
        v-model="value.method"
        class="method w-118px"
        :label="texts.methodFor(parameter.label)"
        :name="`${parameter.code}.method`"
        :choices="methods.map((one) => ({ value: one.name, label: one.name }))"
        bare
      />
      <template v-if="method.steps.length">
        <b v-if="state?.step" class="clock font-mono text-amber" role="timer"
          >{{ DOING[state.step] }} {{ clock }}</b
        >
        <b v-else-if="state" class="ready text-herb" role="status">{{ texts.readItNow }}</b>
        <el-button v-else type="primary" text class="small py-1 px-6px" @click="value.startedAt = Date.now()">
          {{ texts.timeIt }}<span class="seen-by-readers"> {{ texts.for2(parameter.label) }}</span>
        </el-button>
      </template>
      <el-checkbox v-if="value.text" v-model="value.early" class="early">{{ texts.readEarly }}</el-checkbox>
    </div>
    <p
      v-if="error"
      :id="`note-${parameter.code}`"
      class="error col-span-full text-brick font-600"
      role="alert"
    >
      {{ error }}
    </p>
    <p
      v-else-if="doubt"
      :id="`note-${parameter.code}`"
      class="doubt col-span-full text-brick font-600"
      role="status"
    >
      {{ doubt }}
    </p>
  </div>
</template>
