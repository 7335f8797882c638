<script setup lang="ts">
import { texts } from '../texts'
import { weekFromSite } from '../weeks'
import { addDays, dayFormat, parse, today, type Day } from '../dates'
import FieldFrame from './FieldFrame.vue'

/** A day, typed in the site's order or picked; today, yesterday and a week ago are at hand. Empty if none is chosen. */
const props = defineProps<{
  label: string
  name: string
  hint?: string
  error?: string
  /** The last day that can be chosen. */
  max?: Day
  /** The first day that can be chosen. */
  min?: Day
}>()
const value = defineModel<Day>({ required: true })

weekFromSite()

const SHORTCUTS = [
  { text: texts.today, value: () => parse(today()) },
  { text: texts.yesterday, value: () => parse(addDays(today(), -1)) },
  { text: texts.aWeekAgo, value: () => parse(addDays(today(), -7)) },
]
const outside = (date: Date) => {
  const day = today(date)
  return (props.max !== undefined && day > props.max) || (props.min !== undefined && day < props.min)
}
</script>

<template>
  <FieldFrame v-slot="{ id, note, invalid }" :label="label" :name="name" :hint="hint" :error="error">
    <el-date-picker
      :id="id"
      :model-value="value"
      type="date"
      :format="dayFormat"
      value-format="YYYY-MM-DD"
      :placeholder="dayFormat.toLowerCase()"
      :shortcuts="SHORTCUTS"
      :disabled-date="outside"
      :aria-invalid="invalid"
      :aria-describedby="note"
      @update:model-value="(day: Day | null) => (value = day ?? '')"
    />
  </FieldFrame>
</template>
