<script setup lang="ts">
import { computed } from 'vue'
import { useFilterKnown } from './known'
import { factsOf } from './reckoned'

/** What follows from what is known of a filter, in a line or two. */
const props = defineProps<{ tank: number; filter: number }>()

const { known } = useFilterKnown(
  () => props.tank,
  () => props.filter,
)
const facts = computed(() => factsOf(known.value))
</script>

<template>
  <dl v-if="facts.length" class="flex flex-wrap gap-y-2px gap-x-24px my-1">
    <div v-for="fact in facts" :key="fact.label" class="flex gap-6px">
      <dt class="text-ink-quiet">{{ fact.label }}</dt>
      <dd>{{ fact.text }}</dd>
    </div>
  </dl>
</template>
