<script setup lang="ts">
import { ref, watch } from 'vue'
import { fieldText, storedText, unitOf, type Quantity } from '../units'
import NumberField from './NumberField.vue'

/** A measure: shown and typed in the site's unit, held as it is stored. What is no number is held as typed. */
const props = defineProps<{
  label: string
  name: string
  quantity: Quantity
  hint?: string
  error?: string
  placeholder?: string
  bare?: boolean
}>()
const stored = defineModel<string>({ required: true })

const typed = ref(fieldText(props.quantity, stored.value))
watch(stored, (value) => {
  if (value !== storedText(props.quantity, typed.value)) typed.value = fieldText(props.quantity, value)
})
function take(text: string) {
  typed.value = text
  stored.value = storedText(props.quantity, text)
}
</script>

<template>
  <NumberField
    :model-value="typed"
    :label="label"
    :name="name"
    :unit="unitOf(quantity).symbol"
    :hint="hint"
    :error="error"
    :placeholder="placeholder"
    :bare="bare"
    @update:model-value="take"
  />
</template>
