<script setup lang="ts">
import { texts } from './texts'
import { useAdvice } from '@/features/filter'

/** What the animals of a tank ask for and its filters do not give. */
const props = defineProps<{ tank: number }>()
const advice = useAdvice(() => props.tank)
</script>

<template>
  <section v-if="advice.data.value?.length" aria-labelledby="advice">
    <h2 id="advice">{{ texts.forItsAnimals }}</h2>
    <ul>
      <li v-for="sentence in advice.data.value" :key="sentence">{{ sentence }}</li>
    </ul>
  </section>
</template>
