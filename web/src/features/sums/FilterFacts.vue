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
  <dl v-if="facts.length">
    <div v-for="fact in facts" :key="fact.label">
      <dt>{{ fact.label }}</dt>
      <dd>{{ fact.text }}</dd>
    </div>
  </dl>
</template>

<style scoped>
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 24px;
  margin: 4px 0;
}

div {
  display: flex;
  gap: 6px;
}

dt {
  color: var(--ink-quiet);
}

dd {
  margin: 0;
}
</style>
