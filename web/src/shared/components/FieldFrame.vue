<script setup lang="ts">
import { useId } from 'vue'

/** Label above, unit beside, help or what is wrong below; the control itself comes in the slot. */
defineProps<{
  label: string
  /** Path of the field in the request; errors find it by this. */
  name: string
  unit?: string
  hint?: string
  error?: string
  /** The label is there for screen readers only. */
  bare?: boolean
}>()
const id = useId()
</script>

<template>
  <div class="field" :data-field="name">
    <label class="block mb-1 font-600" :for="id" :class="{ 'seen-by-readers': bare }">{{ label }}</label>
    <div class="flex items-center gap-2" :class="{ wrong: error }">
      <slot :id="id" :note="error || hint ? `${id}-note` : undefined" :invalid="error ? 'true' : undefined" />
      <span v-if="unit" class="unit quiet flex-none">{{ unit }}</span>
    </div>
    <p v-if="error" :id="`${id}-note`" class="error" role="alert">{{ error }}</p>
    <p v-else-if="hint" :id="`${id}-note`" class="quiet small">{{ hint }}</p>
  </div>
</template>
