<script setup lang="ts">
import TextField from '@/shared/components/TextField.vue'

/** A password being chosen. */
withDefaults(defineProps<{ name: string; label?: string; error?: string }>(), {
  label: 'Password',
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
    hint="At least 10 characters; four or five unrelated words make a good one"
    :error="error"
  />
</template>
