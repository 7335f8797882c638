<script setup lang="ts">
import { texts } from './texts'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import SelectField from '@/shared/components/SelectField.vue'
import TextField from '@/shared/components/TextField.vue'
import { MOMENT, type Choice } from '@/shared/words'
import { newOwnStep, type InsideForm, type OwnStepForm } from './inside'

/** Steps in the keeper's own words; they come in every service in which their moment comes. */
defineProps<{ errors: Record<string, string> }>()
const form = defineModel<InsideForm>({ required: true })

const ORDER: Choice<OwnStepForm['before']>[] = [
  { value: 'BEFORE', label: texts.before },
  { value: 'AFTER', label: texts.after },
]
</script>

<template>
  <div class="steps">
    <ul>
      <li v-for="(step, i) in form.ownSteps" :key="step.key" class="grid gap-2 mb-4">
        <TextField
          v-model="step.words"
          :label="texts.whatToDo"
          :name="`passport.ownSteps[${i}].words`"
          :error="errors[`passport.ownSteps[${i}].words`]"
        />
        <div class="when flex flex-wrap gap-10px items-center">
          <ChoiceRow
            v-model="step.before"
            :legend="texts.when"
            :name="`passport.ownSteps[${i}].before`"
            :choices="ORDER"
            bare
          />
          <SelectField
            v-model="step.moment"
            :label="texts.moment"
            :name="`passport.ownSteps[${i}].moment`"
            :choices="MOMENT"
            bare
          />
          <el-button
            type="primary"
            text
            :aria-label="texts.removeTheStep(step.words)"
            @click="form.ownSteps = form.ownSteps.filter((one) => one.key !== step.key)"
            >{{ texts.remove }}</el-button
          >
        </div>
      </li>
    </ul>
    <el-button @click="form.ownSteps.push(newOwnStep())">{{ texts.addAStepOf }}</el-button>
  </div>
</template>
