<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { useSiteFilters } from '@/features/filter'
import { useTanks } from '@/features/tank'
import SelectField from '@/shared/components/SelectField.vue'
import { GONE, inFilter, SPOTS, type Spot } from './words'

/** Where a piece is laid: the kind of place, its filter, and the tank it is seeded for. */
const props = defineProps<{
  field: string
  label: string
  errors: Record<string, string>
  mayGo?: boolean
}>()
const kind = defineModel<Spot | undefined>('kind', { required: true })
const filter = defineModel<number | undefined>('filter', { required: true })
const forTank = defineModel<number | undefined>('forTank', { required: true })

const filters = useSiteFilters()
const tanks = useTanks()
const nameOf = (id: number) => (tanks.data.value ?? []).find((one) => one.id === id)?.tank.name ?? ''
const ofSite = computed(() =>
  (filters.data.value ?? []).map((one) => ({
    value: one.id,
    label: texts.on3(one.name, nameOf(one.tankId)),
  })),
)
const donor = computed(() => (filters.data.value ?? []).find((one) => one.id === filter.value)?.tankId)
const others = computed(() =>
  (tanks.data.value ?? [])
    .filter((one) => one.id !== donor.value)
    .map((one) => ({ value: one.id, label: one.tank.name })),
)
const choices = computed(() => (props.mayGo ? [...SPOTS, GONE] : SPOTS))
</script>

<template>
  <SelectField
    v-model="kind"
    :label="label"
    :name="`${field}.kind`"
    :choices="choices"
    :error="errors[`${field}.kind`] ?? errors[field]"
  />
  <SelectField
    v-if="inFilter(kind)"
    v-model="filter"
    :label="texts.filter"
    :name="`${field}.filterId`"
    :choices="ofSite"
    :error="errors[`${field}.filterId`]"
  />
  <SelectField
    v-if="kind === 'SEEDING'"
    v-model="forTank"
    :label="texts.forWhichTank2"
    :name="`${field}.forTankId`"
    :choices="others"
    :error="errors[`${field}.forTankId`]"
  />
</template>
