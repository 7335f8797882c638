<script setup lang="ts">
import { texts } from './texts'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import { SYSTEMS, type SiteUnits, type System } from '@/shared/units'
import { UNIT_CHOICES } from './units'

/** One choice for all, then each alone. */
defineProps<{ errors: Record<string, string> }>()
const units = defineModel<SiteUnits>({ required: true })

const SYSTEM: { value: System; label: string; hint: string }[] = [
  { value: 'METRIC', label: texts.metric, hint: texts.litresGramsCDay },
  { value: 'US', label: 'US', hint: texts.usGallonsOuncesFeet },
  { value: 'UK', label: 'UK', hint: texts.imperialGallonsGramsC },
]
/** The system whose every choice this is; currency and decimals are nobody's. */
const like = (one: SiteUnits) =>
  SYSTEM.find(({ value }) =>
    UNIT_CHOICES.every(({ field }) => field === 'decimalSign' || SYSTEMS[value][field] === one[field]),
  )?.value ?? ('' as System)
</script>

<template>
  <div class="grid cols-[repeat(auto-fill,minmax(300px,1fr))] gap-y-18px gap-x-32px">
    <ChoiceRow
      class="first:col-span-full"
      :model-value="like(units)"
      :legend="texts.allAtOnce"
      name="system"
      :choices="SYSTEM"
      @update:model-value="
        (system) => (units = { ...SYSTEMS[system], currency: units.currency, decimalSign: units.decimalSign })
      "
    />
    <slot />
    <ChoiceRow
      v-for="one in UNIT_CHOICES"
      :key="one.field"
      class="first:col-span-full"
      :model-value="units[one.field]"
      :legend="one.legend"
      :name="one.field"
      :choices="one.choices"
      :error="errors[one.field]"
      @update:model-value="(chosen) => (units = { ...units, [one.field]: chosen })"
    />
  </div>
</template>
