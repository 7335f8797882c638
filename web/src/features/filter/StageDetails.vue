<script setup lang="ts">
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
  { value: 'WASHABLE', label: 'Washable' },
  { value: 'DISPOSABLE', label: 'Disposable' },
]
const BAGGED: Choice<'bagged' | 'loose'>[] = [
  { value: 'loose', label: 'Loose' },
  { value: 'bagged', label: 'In a bag' },
]
interface Lasting {
  name: LastingField
  label: string
  unit: string
  hint: string
}
const LAMP: Lasting[] = [
  { name: 'ratedHours', label: 'Rated for', unit: 'h', hint: 'Leave blank for 9,000' },
  { name: 'litHoursADay', label: 'Lit a day', unit: 'h', hint: 'Leave blank for 24' },
  { name: 'startsADay', label: 'Starts a day', unit: '', hint: 'Each wears it two hours' },
]
const ROLL: Lasting[] = [{ name: 'rollM', label: 'A new roll', unit: 'm', hint: 'As on its package' }]
const PAD: Lasting[] = [{ name: 'rinses', label: 'Rinses it lasts', unit: '', hint: 'Leave blank for 10' }]
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
      label="Own name"
      :name="`${prefix}.label`"
      hint="Leave blank to go by its kind"
      :error="error('label')"
    />
    <NumberField
      v-model="stage.quantity"
      label="How many"
      :name="`${prefix}.quantity`"
      :error="error('quantity')"
    />
    <MeasureField
      v-if="media"
      v-model="stage.massG"
      label="Mass"
      :name="`${prefix}.massG`"
      quantity="MASS"
      :error="error('massG')"
    />
    <TextField
      v-model="stage.size"
      label="Size of a spare"
      :name="`${prefix}.size`"
      hint="As on its package"
      :error="error('size')"
    />
    <DayField
      v-model="stage.fittedOn"
      label="Fitted on"
      :name="`${prefix}.fittedOn`"
      :max="now"
      hint="Leave blank if you don’t know"
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
    <ChoiceRow v-model="stage.make" legend="Made to be" :name="`${prefix}.make`" :choices="MAKE" />
    <ChoiceRow v-if="media" v-model="bagged" legend="Held" :name="`${prefix}.bagged`" :choices="BAGGED" />
  </div>
</template>
