<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { useFilters } from '@/features/filter'
import { useCompared } from './queries'

/** On a tank: what the site's runs say of a pre-filter, which this tank's filters have or could have. */
const props = defineProps<{ tank: number }>()

/** Kinds that a pre-filter can stand before. */
const COMPARED = new Set(['CANISTER', 'HANG_ON_BACK', 'INTERNAL'])
const filters = useFilters(() => props.tank)
const compared = useCompared()
const told = computed(() =>
  filters.data.value?.some((one) => COMPARED.has(one.kind))
    ? compared.data.value?.effects.find((one) => one.factor === 'PREFILTER' && one.told)
    : undefined,
)
</script>

<template>
  <p v-if="told" class="small">
    {{ told.words }} <RouterLink :to="{ name: 'compare' }">{{ texts.filtersCompared }}</RouterLink>
  </p>
</template>
