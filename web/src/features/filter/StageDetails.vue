<script setup lang="ts">
import { computed } from 'vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
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
  { name: 'ratedHours', label: 'Rated for', unit: 'h', hint: 'Empty counts 9,000' },
  { name: 'litHoursADay', label: 'Lit a day', unit: 'h', hint: 'Empty counts 24' },
  { name: 'startsADay', label: 'Starts a day', unit: '', hint: 'Each wears it two hours' },
]
const ROLL: Lasting[] = [{ name: 'rollM', label: 'A new roll', unit: 'm', hint: 'As on its package' }]
const PAD: Lasting[] = [{ name: 'rinses', label: 'Bears rinses', unit: '', hint: 'Empty counts 10' }]
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
  <div class="details">
    <TextField
      v-model="stage.label"
      label="Own name"
      :name="`${prefix}.label`"
      hint="Empty uses the kind"
      :error="error('label')"
    />
    <TextField
      v-model="stage.quantity"
      label="How many"
      :name="`${prefix}.quantity`"
      type="number"
      :error="error('quantity')"
    />
    <TextField
      v-if="media"
      v-model="stage.massG"
      label="Mass"
      :name="`${prefix}.massG`"
      type="number"
      unit="g"
      :error="error('massG')"
    />
    <TextField
      v-model="stage.size"
      label="Size of a spare"
      :name="`${prefix}.size`"
      hint="As on its package"
      :error="error('size')"
    />
    <TextField
      v-model="stage.fittedOn"
      label="Fitted on"
      :name="`${prefix}.fittedOn`"
      type="date"
      :max="now"
      hint="Empty if nobody knows"
      :error="error('fittedOn')"
    />
    <TextField
      v-for="field in lasting"
      :key="field.name"
      v-model="stage.lasting[field.name]"
      :label="field.label"
      :name="`${prefix}.lasting.${field.name}`"
      type="number"
      :unit="field.unit"
      :hint="field.hint"
      :error="error(`lasting.${field.name}`)"
    />
    <ChoiceRow v-model="stage.make" legend="Made to be" :name="`${prefix}.make`" :choices="MAKE" />
    <ChoiceRow v-if="media" v-model="bagged" legend="Held" :name="`${prefix}.bagged`" :choices="BAGGED" />
  </div>
</template>

<style scoped>
.details {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(160px, 1fr));
  gap: var(--gap-3);
  padding: 4px 0 var(--gap-3) 48px;
}

@media (width <= 640px) {
  .details {
    padding-left: 0;
  }
}
</style>
