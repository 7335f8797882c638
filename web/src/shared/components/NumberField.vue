<script setup lang="ts">
import FieldFrame from './FieldFrame.vue'

/** A number as it is typed, with its unit; a decimal comma is as good as a point. */
defineProps<{
  label: string
  name: string
  unit?: string
  hint?: string
  error?: string
  placeholder?: string
  bare?: boolean
}>()
const value = defineModel<string>({ required: true })
</script>

<template>
  <FieldFrame
    v-slot="{ id, note, invalid }"
    :label="label"
    :name="name"
    :unit="unit"
    :hint="hint"
    :error="error"
    :bare="bare"
  >
    <el-input
      :id="id"
      v-model="value"
      class="number"
      inputmode="decimal"
      autocomplete="off"
      :placeholder="placeholder"
      :aria-invalid="invalid"
      :aria-describedby="note"
    />
  </FieldFrame>
</template>
