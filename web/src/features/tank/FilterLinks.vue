<script setup lang="ts">
import { texts } from './texts'
import type { Filter } from '@/features/filter'
import { useMayGo } from '@/shared/allowed'

/** What can be done with a filter from its tank's page. */
const props = defineProps<{ tank: number; filter: Filter; isNew: boolean }>()
const mayGo = useMayGo()
const down = { name: 'take-down', params: { tank: props.tank, filter: props.filter.id } }
const change = { name: 'edit-filter', params: { tank: props.tank, filter: props.filter.id } }
</script>

<template>
  <span class="flex flex-wrap gap-x-14px ml-auto">
    <RouterLink v-if="mayGo(change)" class="small" :to="change">{{ texts.changeFilter }}</RouterLink>
    <RouterLink
      v-if="mayGo(change)"
      class="small"
      :to="{ name: 'inside-filter', params: { tank, filter: filter.id } }"
      >{{ filter.placesStated ? texts.whatSitsWhere : texts.sayWhatSitsWhere }}</RouterLink
    >
    <RouterLink class="small" :to="{ name: 'start-case', query: { tank, filter: filter.id } }">{{
      texts.somethingIsWrong
    }}</RouterLink>
    <RouterLink
      v-if="isNew && mayGo(change)"
      class="small"
      :to="{ name: 'set-up', params: { tank, filter: filter.id } }"
      >{{ texts.setItUpStep }}</RouterLink
    >
    <RouterLink v-if="mayGo(down)" class="small" :to="down">{{ texts.takeItDown }}</RouterLink>
  </span>
</template>
