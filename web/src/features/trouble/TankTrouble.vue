<script setup lang="ts">
import { useCases } from './queries'
import CaseList from './CaseList.vue'

/** What was and is wrong with the filters of a tank. */
const props = defineProps<{ tank: number }>()
const cases = useCases(() => props.tank)
</script>

<template>
  <section v-if="cases.data.value?.length" aria-labelledby="trouble">
    <h2 id="trouble">Trouble</h2>
    <CaseList :cases="cases.data.value" />
  </section>
</template>

<style scoped>
h2 {
  margin-top: 22px;
}
</style>
