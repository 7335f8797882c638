<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import DayField from '@/shared/components/DayField.vue'
import MeasureField from '@/shared/components/MeasureField.vue'
import NumberField from '@/shared/components/NumberField.vue'
import TextField from '@/shared/components/TextField.vue'
import { today } from '@/shared/dates'
import { stageWord, type Choice } from '@/shared/words'
import type { LastingField, StageForm } from './form'

/** What is known of one stage. */
const props = defineProps<{ prefix: string; errors: Record<string, string> }>()
const stage = defineModel<StageForm>({ required: true })

const now = today()
const MAKE: Choice<StageForm['make']>[] = [
  { value: 'WASHABLE', label: texts.washable },
  { value: 'DISPOSABLE', label: texts.disposable },
]
const BAGGED: Choice<'bagged' | 'loose'>[] = [
  { value: 'loose', label: texts.loose },
  { value: 'bagged', label: texts.inABag },
]
interface Lasting {
  name: LastingField
  label: string
  unit: string
  hint: string
}
const LAMP: Lasting[] = [
  { name: 'ratedHours', label: texts.ratedFor, unit: 'h', hint: texts.leaveBlankFor9 },
  { name: 'litHoursADay', label: texts.litADay, unit: 'h', hint: texts.leaveBlankFor24 },
  { name: 'startsADay', label: texts.startsADay, unit: '', hint: texts.eachWearsItTwo },
]
const ROLL: Lasting[] = [{ name: 'rollM', label: texts.aNewRoll, unit: 'm', hint: texts.asOnItsPackage }]
const PAD: Lasting[] = [{ name: 'rinses', label: texts.rinsesItLasts, unit: '', hint: texts.leaveBlankFor10 }]
const lasting = computed<Lasting[]>(() => {
  if (stage.value.kind === 'UV_LAMP') return LAMP
  if (stage.value.kind === 'FLEECE_ROLL') return ROLL
  return stage.value.kind === 'FINE_PAD' && stage.value.make === 'WASHABLE' ? PAD : []
})
const media = computed(() => stageWord(stage.value.kind).measuredByMass)
const bagged = computed({
  get: () => (stage.value.bagged ? 'bagged' : 'loose'),
  set: (chosen: 'bagged' | 'loose') => (stage.value.bagged = chosen === 'bagged'),
})
const error = (field: string) => props.errors[`${props.prefix}.${field}`]
</script>

<template>
  <div class="grid cols-[repeat(auto-fit,minmax(160px,1fr))] gap-3 pt-1 pb-3 pr-0 pl-48px max-phone:pl-0">
    <TextField
      v-model="stage.label"
      :label="texts.ownName"
      :name="`${prefix}.label`"
      :hint="texts.leaveBlankToGo"
      :error="error('label')"
    />
    <NumberField
      v-model="stage.quantity"
      :label="texts.howMany"
      :name="`${prefix}.quantity`"
      :error="error('quantity')"
    />
    <MeasureField
      v-if="media"
      v-model="stage.massG"
      :label="texts.mass"
      :name="`${prefix}.massG`"
      quantity="MASS"
      :error="error('massG')"
    />
    <TextField
      v-model="stage.size"
      :label="texts.sizeOfASpare"
      :name="`${prefix}.size`"
      :hint="texts.asOnItsPackage"
      :error="error('size')"
    />
    <DayField
      v-model="stage.fittedOn"
      :label="texts.fittedOn"
      :name="`${prefix}.fittedOn`"
      :max="now"
      :hint="texts.leaveBlankIfYou"
      :error="error('fittedOn')"
    />
    <NumberField
      v-for="field in lasting"
      :key="field.name"
      v-model="stage.lasting[field.name]"
      :label="field.label"
      :name="`${prefix}.lasting.${field.name}`"
      :unit="field.unit"
      :hint="field.hint"
      :error="error(`lasting.${field.name}`)"
    />
    <ChoiceRow v-model="stage.make" :legend="texts.madeToBe" :name="`${prefix}.make`" :choices="MAKE" />
    <ChoiceRow
      v-if="media"
      v-model="bagged"
      :legend="texts.held"
      :name="`${prefix}.bagged`"
      :choices="BAGGED"
    />
  </div>
</template>
