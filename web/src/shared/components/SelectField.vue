<script setup lang="ts" generic="V extends string | number">
import { texts } from '../texts'
import FieldFrame from './FieldFrame.vue'

/** One of many, from a list that opens. */
defineProps<{
  label: string
  name: string
  choices: { value: V; label: string; hint?: string }[]
  hint?: string
  error?: string
  placeholder?: string
  disabled?: boolean
  bare?: boolean
}>()
const chosen = defineModel<V | undefined>({ required: true })
</script>

<template>
  <FieldFrame
    v-slot="{ id, note, invalid }"
    :label="label"
    :name="name"
    :hint="hint"
    :error="error"
    :bare="bare"
  >
    <el-select
      :id="id"
      v-model="chosen"
      :placeholder="placeholder ?? texts.chooseOne"
      :disabled="disabled"
      :empty-values="[null, undefined, '']"
      :value-on-clear="undefined"
      :filterable="choices.length > 12"
      :no-match-text="texts.nothingByThatName"
      :no-data-text="texts.nothingToChooseFrom"
      :aria-invalid="invalid"
      :aria-describedby="note"
    >
      <el-option v-for="choice in choices" :key="choice.value" :value="choice.value" :label="choice.label">
        {{ choice.label }}<span v-if="choice.hint" class="quiet small"> {{ choice.hint }}</span>
      </el-option>
    </el-select>
  </FieldFrame>
</template>
