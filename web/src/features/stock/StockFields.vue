<script setup lang="ts">
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import NumberField from '@/shared/components/NumberField.vue'
import TextField from '@/shared/components/TextField.vue'
import KitLines from './KitLines.vue'
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
  <div class="grid gap-16px">
    <TextField
      v-model="form.name"
      label="Name"
      name="name"
      hint="Use the name your services use, so the stock counts down"
      :suggestions="names"
      :error="errors.name"
    />
    <ChoiceRow
      :model-value="form.turned ? 'turned' : 'spent'"
      legend="After use"
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
    <div class="grid cols-[repeat(auto-fill,minmax(170px,1fr))] gap-16px">
      <NumberField
        v-model="form.amountPerUse"
        label="Used each time"
        name="amountPerUse"
        :unit="UNITS.find((one) => one.value === form.unit)?.short"
        :error="errors.amountPerUse"
      />
      <NumberField
        v-model="form.reorderAt"
        :label="form.turned ? 'Wash when below' : 'Order when below'"
        name="reorderAt"
        :hint="
          suggested
            ? `${amountWords(suggested, form.unit)} covers ${form.turned ? 'the time between washes' : 'the delivery and a fortnight'}`
            : undefined
        "
        :error="errors.reorderAt"
      />
      <NumberField
        v-model="form.leadDays"
        label="Delivery takes"
        name="leadDays"
        unit="days"
        :error="errors.leadDays"
      />
      <NumberField
        v-if="form.turned"
        v-model="form.washEveryDays"
        label="Washed every"
        name="washEveryDays"
        unit="days"
        :error="errors.washEveryDays"
      />
      <NumberField
        v-model="form.price"
        :label="form.unit === 'PIECE' ? 'Price of one' : 'Price of one unit'"
        name="price"
        :unit="currency"
        hint="Optional"
        :error="errors.price"
      />
    </div>
    <KitLines v-if="!form.turned" v-model="form.kit" :names="names" :errors="errors" />
  </div>
</template>
