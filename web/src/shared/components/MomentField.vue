<script setup lang="ts">
import { weekFromSite } from '../weeks'
import { dayFormat } from '../dates'
import FieldFrame from './FieldFrame.vue'

/** A day and a time as the browser's clock has them, yyyy-mm-ddThh:mm; empty if none is chosen. */
defineProps<{ label: string; name: string; hint?: string; error?: string }>()
const value = defineModel<string>({ required: true })

weekFromSite()
</script>

<template>
  <FieldFrame v-slot="{ id, note, invalid }" :label="label" :name="name" :hint="hint" :error="error">
    <el-date-picker
      :id="id"
      :model-value="value"
      type="datetime"
      :format="`${dayFormat} HH:mm`"
      time-format="HH:mm"
      value-format="YYYY-MM-DDTHH:mm"
      :placeholder="`${dayFormat.toLowerCase()} hh:mm`"
      :aria-invalid="invalid"
      :aria-describedby="note"
      @update:model-value="(moment: string | null) => (value = moment ?? '')"
    />
  </FieldFrame>
</template>
