<script setup lang="ts">
import { texts } from './texts'
import TextField from '@/shared/components/TextField.vue'

/** A password being chosen. */
withDefaults(defineProps<{ name: string; label?: string; error?: string }>(), {
  label: texts.password,
  error: undefined,
})
const password = defineModel<string>({ required: true })
</script>

<template>
  <TextField
    v-model="password"
    :label="label"
    :name="name"
    type="password"
    autocomplete="new-password"
    :hint="texts.atLeast10CharactersFour"
    :error="error"
  />
</template>
