<script setup lang="ts">
import { nextTick } from 'vue'
import FieldFrame from './FieldFrame.vue'

/** Words. */
withDefaults(
  defineProps<{
    label: string
    name: string
    type?: 'text' | 'password' | 'textarea'
    hint?: string
    error?: string
    autocomplete?: string
    placeholder?: string
    bare?: boolean
    /** What others typed here before. */
    suggestions?: string[]
  }>(),
  { type: 'text', autocomplete: 'off' },
)
const value = defineModel<string>({ required: true })

/** Until something is pointed at, the library names an element that is not there. */
const unpointed = (id: string) =>
  nextTick(() => document.getElementById(id)?.removeAttribute('aria-activedescendant'))
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
    <el-autocomplete
      v-if="suggestions"
      :id="id"
      v-model="value"
      :fetch-suggestions="
        (typed: string, tell: (found: { value: string }[]) => void) =>
          tell(
            suggestions!
              .filter((one) => one.toLocaleLowerCase().includes(typed.trim().toLocaleLowerCase()))
              .map((one) => ({ value: one })),
          )
      "
      :aria-invalid="invalid"
      :aria-describedby="note"
      @vue:mounted="unpointed(id)"
    />
    <el-input
      v-else
      :id="id"
      v-model="value"
      :type="type"
      :rows="3"
      :autocomplete="autocomplete"
      :placeholder="placeholder"
      :aria-invalid="invalid"
      :aria-describedby="note"
    />
  </FieldFrame>
</template>
