<script setup lang="ts">
import { texts } from './texts'
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
  { value: 'spent', label: texts.thrownAwayAfterUse },
  { value: 'turned', label: texts.washedAndUsedAgain },
]
</script>

<template>
  <div class="grid gap-16px">
    <TextField
      v-model="form.name"
      :label="texts.name"
      name="name"
      :hint="texts.useTheNameYour"
      :suggestions="names"
      :error="errors.name"
    />
    <ChoiceRow
      :model-value="form.turned ? 'turned' : 'spent'"
      :legend="texts.afterUse"
      name="turned"
      :choices="KINDS"
      @update:model-value="(kind) => (form.turned = kind === 'turned')"
    />
    <ChoiceRow
      v-model="form.unit"
      :legend="texts.countedIn"
      name="unit"
      :choices="UNITS.map(({ value, label }) => ({ value, label }))"
      :error="errors.unit"
    />
    <div class="grid cols-[repeat(auto-fill,minmax(170px,1fr))] gap-16px">
      <NumberField
        v-model="form.amountPerUse"
        :label="texts.usedEachTime"
        name="amountPerUse"
        :unit="UNITS.find((one) => one.value === form.unit)?.short"
        :error="errors.amountPerUse"
      />
      <NumberField
        v-model="form.reorderAt"
        :label="form.turned ? texts.washWhenBelow : texts.orderWhenBelow"
        name="reorderAt"
        :hint="
          suggested
            ? texts.covers(
                amountWords(suggested, form.unit),
                form.turned ? texts.theTimeBetweenWashes : texts.theDeliveryAndA,
              )
            : undefined
        "
        :error="errors.reorderAt"
      />
      <NumberField
        v-model="form.leadDays"
        :label="texts.deliveryTakes"
        name="leadDays"
        :unit="texts.days"
        :error="errors.leadDays"
      />
      <NumberField
        v-if="form.turned"
        v-model="form.washEveryDays"
        :label="texts.washedEvery"
        name="washEveryDays"
        :unit="texts.days"
        :error="errors.washEveryDays"
      />
      <NumberField
        v-model="form.price"
        :label="form.unit === 'PIECE' ? texts.priceOfOne : texts.priceOfOneUnit"
        name="price"
        :unit="currency"
        :hint="texts.optional"
        :error="errors.price"
      />
    </div>
    <KitLines v-if="!form.turned" v-model="form.kit" :names="names" :errors="errors" />
  </div>
</template>
