<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import CaseList from './CaseList.vue'
import { useCases } from './queries'

/** What is wrong with the filters of a tank, or what was. */
const props = defineProps<{
  tank: number
  /** Cases that are open; closed ones otherwise. */
  open?: boolean
}>()
const cases = useCases(() => props.tank)
const shown = computed(() =>
  (cases.data.value ?? []).filter(
    ({ standing }) => (standing === 'OPEN' || standing === 'STOPPED') === props.open,
  ),
)
</script>

<template>
  <section v-if="shown.length" :aria-label="open ? texts.beingLookedInto : texts.troubleBefore">
    <h2 class="mt-4">{{ open ? texts.beingLookedInto : texts.troubleBefore }}</h2>
    <CaseList :cases="shown" />
  </section>
</template>
