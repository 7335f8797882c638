<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import NumberField from '@/shared/components/NumberField.vue'
import SelectField from '@/shared/components/SelectField.vue'
import type { Typed, TypedRow } from './given'
import { fieldOf, scaleOf } from './measures'
import type { Field } from './queries'
import SumRows from './SumRows.vue'
import { BASES, choiceFor, labelFor } from './words'

/** One thing a sum asks for, with where its value comes from. */
const props = defineProps<{
  sum: string
  field: Field
  /** Where it stands in the request. */
  path: string
  /** Where the value that stands here comes from, unless it was typed. */
  origin?: string
  errors: Record<string, string>
}>()
const typed = defineModel<Typed>({ required: true })

const FEW = 4
const scale = computed(() => scaleOf(props.field.measure, props.field.name))
const label = computed(() => labelFor(props.sum, props.field.name))
const choices = computed(() => props.field.words.map((value) => ({ value, label: choiceFor(value) })))
const placeholder = computed(() => fieldOf(scale.value, props.field.otherwise))
const hint = computed(() => {
  if (props.origin) return `${props.origin.replace(/^./, (first) => first.toUpperCase())}.`
  const basis = BASES[props.field.basis]
  if (placeholder.value) return basis ? texts.unlessYouSayOtherwise(placeholder.value, basis) : undefined
  return props.field.needed ? undefined : texts.mayStayEmpty
})
const text = computed({
  get: () => (typeof typed.value === 'string' ? typed.value : ''),
  set: (value) => (typed.value = value),
})
const word = computed({
  get: () => (typeof typed.value === 'string' ? typed.value : undefined),
  set: (value) => (typed.value = value),
})
const answer = computed({
  get: () => (typed.value === true ? 'YES' : typed.value === false ? 'NO' : ''),
  set: (value: string) => (typed.value = value === 'YES' ? true : value === 'NO' ? false : undefined),
})
const rows = computed({
  get: () => (Array.isArray(typed.value) ? typed.value : []),
  set: (value: TypedRow[]) => (typed.value = value),
})
</script>

<template>
  <NumberField
    v-if="field.type === 'NUMBER'"
    v-model="text"
    :label="label"
    :name="path"
    :unit="scale.symbol"
    :hint="hint"
    :error="errors[path]"
    :placeholder="placeholder"
  />
  <ChoiceRow
    v-else-if="field.type === 'FLAG'"
    v-model="answer"
    :legend="label"
    :name="path"
    :choices="[
      { value: 'YES', label: texts.yes },
      { value: 'NO', label: texts.no },
    ]"
    :error="errors[path]"
  />
  <ChoiceRow
    v-else-if="field.type === 'WORD' && choices.length <= FEW"
    v-model="text"
    :legend="label"
    :name="path"
    :choices="choices"
    :error="errors[path]"
  />
  <SelectField
    v-else-if="field.type === 'WORD'"
    v-model="word"
    :label="label"
    :name="path"
    :choices="choices"
    :hint="hint"
    :error="errors[path]"
  />
  <SumRows
    v-else
    v-slot="inRow"
    v-model="rows"
    :field="field"
    :path="path"
    :legend="label"
    :hint="hint"
    :error="errors[path]"
  >
    <SumField
      :sum="sum"
      :field="inRow.field"
      :path="inRow.path"
      :model-value="inRow.value"
      :errors="errors"
      @update:model-value="inRow.change"
    />
  </SumRows>
</template>
