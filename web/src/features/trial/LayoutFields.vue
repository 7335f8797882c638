<script setup lang="ts">
import { computed, watch } from 'vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import DayField from '@/shared/components/DayField.vue'
import NumberField from '@/shared/components/NumberField.vue'
import { addDays, shortDay, today } from '@/shared/dates'
import { daysOf, keepsOneEach, STRETCHES, TURNS, type TrialForm } from './trial-form'

/** How the ways are laid over tanks and weeks. */
defineProps<{ errors: Record<string, string> }>()
const form = defineModel<TrialForm>({ required: true })

const oneEach = computed(() => keepsOneEach(form.value))
const lengths = computed(() => (oneEach.value ? STRETCHES : TURNS))
watch(oneEach, () => {
  if (!lengths.value.includes(form.value.turns)) form.value.turns = lengths.value[1] ?? 4
})
const ends = computed(() => {
  const days = daysOf(form.value)
  return days && form.value.began ? addDays(form.value.began, days) : undefined
})
</script>

<template>
  <div class="grid gap-18px justify-items-start w-full">
    <template v-if="form.also.length">
      <ChoiceRow
        v-model="form.layout"
        legend="On each tank"
        name="oneEach"
        :choices="[
          { value: 'TURNS', label: 'All ways in turn' },
          { value: 'EACH', label: 'One way each' },
        ]"
      />
      <p v-if="oneEach" class="small quiet">
        The first tank keeps the first way, the next the second, and so on. Whether the way or the tank makes
        a difference cannot be told from that, until you swap the ways while it runs: you will be offered to.
      </p>
    </template>
    <div class="grid cols-[repeat(auto-fill,minmax(200px,1fr))] gap-16px w-full">
      <DayField
        v-model="form.began"
        label="From"
        name="began"
        :max="today()"
        hint="An earlier day, if you have kept to it since"
        :error="errors.began"
      />
      <NumberField
        v-model="form.periodDays"
        label="In periods of"
        name="periodDays"
        unit="days"
        hint="At least twice the longest interval"
        :error="errors.periodDays"
      />
    </div>
    <ChoiceRow
      v-model="form.turns"
      :legend="oneEach ? 'Periods that each tank keeps its way' : 'Turns of each way'"
      name="periods"
      :choices="lengths.map((turns) => ({ value: turns, label: String(turns) }))"
      :error="errors.periods"
    />
    <p v-if="ends" class="quiet">
      {{ ends <= today() ? `It ended on ${shortDay(ends)}.` : `It ends on ${shortDay(ends)}.` }}
    </p>
  </div>
</template>
