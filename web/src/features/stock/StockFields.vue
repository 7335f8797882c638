<script setup lang="ts">
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import TextField from '@/shared/components/TextField.vue'
import { amountWords, UNITS, type ItemForm } from './stores'

/** What is known of a thing in the stores, field by field. */
defineProps<{
  errors: Record<string, string>
  /** Reorder point that would cover the delivery and a fortnight, in its unit. */
  suggested?: number
  /** Things that filters use and the stores do not know. */
  names: string[]
  currency: string
}>()
const form = defineModel<ItemForm>({ required: true })
const KINDS = [
  { value: 'spent', label: 'Thrown away after use' },
  { value: 'turned', label: 'Washed and used again' },
]
</script>

<template>
  <div class="fields">
    <TextField
      v-model="form.name"
      label="Name"
      name="name"
      hint="As services name it, so that they take it down"
      :suggestions="names"
      :error="errors.name"
    />
    <ChoiceRow
      :model-value="form.turned ? 'turned' : 'spent'"
      legend="What becomes of it"
      name="turned"
      :choices="KINDS"
      @update:model-value="(kind) => (form.turned = kind === 'turned')"
    />
    <ChoiceRow
      v-model="form.unit"
      legend="Counted in"
      name="unit"
      :choices="UNITS.map(({ value, label }) => ({ value, label }))"
      :error="errors.unit"
    />
    <div class="row">
      <TextField
        v-model="form.amountPerUse"
        label="Taken each time"
        name="amountPerUse"
        type="number"
        :unit="UNITS.find((one) => one.value === form.unit)?.short"
        :error="errors.amountPerUse"
      />
      <TextField
        v-model="form.reorderAt"
        :label="form.turned ? 'Wash when below' : 'Order when below'"
        name="reorderAt"
        type="number"
        :hint="
          suggested
            ? `${amountWords(suggested, form.unit)} covers ${form.turned ? 'the time between washes' : 'the delivery and a fortnight'}`
            : undefined
        "
        :error="errors.reorderAt"
      />
      <TextField
        v-model="form.leadDays"
        label="Delivery takes"
        name="leadDays"
        type="number"
        unit="days"
        :error="errors.leadDays"
      />
      <TextField
        v-if="form.turned"
        v-model="form.washEveryDays"
        label="Washed every"
        name="washEveryDays"
        type="number"
        unit="days"
        :error="errors.washEveryDays"
      />
      <TextField
        v-model="form.price"
        :label="form.unit === 'PIECE' ? 'Price of one' : 'Price of one unit'"
        name="price"
        type="number"
        :unit="currency"
        hint="May be left empty"
        :error="errors.price"
      />
    </div>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 16px;
}

.row {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 16px;
}
</style>
