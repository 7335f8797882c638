<script setup lang="ts">
import { texts } from './texts'
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
        :legend="texts.onEachTank"
        name="oneEach"
        :choices="[
          { value: 'TURNS', label: texts.allWaysInTurn },
          { value: 'EACH', label: texts.oneWayEach },
        ]"
      />
      <p v-if="oneEach" class="small quiet">
        {{ texts.theFirstTankKeeps }}
      </p>
    </template>
    <div class="grid cols-[repeat(auto-fill,minmax(200px,1fr))] gap-16px w-full">
      <DayField
        v-model="form.began"
        :label="texts.from"
        name="began"
        :max="today()"
        :hint="texts.anEarlierDayIf"
        :error="errors.began"
      />
      <NumberField
        v-model="form.periodDays"
        :label="texts.inPeriodsOf"
        name="periodDays"
        :unit="texts.days"
        :hint="texts.atLeastTwiceThe"
        :error="errors.periodDays"
      />
    </div>
    <ChoiceRow
      v-model="form.turns"
      :legend="oneEach ? texts.periodsThatEachTank : texts.turnsOfEachWay"
      name="periods"
      :choices="lengths.map((turns) => ({ value: turns, label: String(turns) }))"
      :error="errors.periods"
    />
    <p v-if="ends" class="quiet">
      {{ ends <= today() ? texts.itEndedOn(shortDay(ends)) : texts.itEndsOn(shortDay(ends)) }}
    </p>
  </div>
</template>
