<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { useBegin } from './begin'
import { progressOf } from './progress'
import type { Guided } from './queries'

/** After one filter, the next that was asked for in the same go. */
const props = defineProps<{ guided: Guided }>()

const { sending, trouble, errors, begin } = useBegin()

const next = computed(() => props.guided.then[0])
const heaterOff = computed(() => {
  const { steps, events } = props.guided
  const { done } = progressOf(steps, events)
  const did = (effect: 'HEATER_OFF' | 'HEATER_ON') =>
    steps.some((step) => done.has(step.id) && step.effects.includes(effect))
  return did('HEATER_OFF') && !did('HEATER_ON')
})

async function goOn() {
  const coming = next.value
  if (coming)
    await begin({ filterId: coming.filterId, tasks: coming.tasks, chores: [], after: props.guided.id })
}
</script>

<template>
  <section v-if="next" class="next grid gap-10px justify-items-start mb-4">
    <h2>{{ texts.next(next.filterName) }}</h2>
    <p v-if="heaterOff">{{ texts.theHeaterIsStill }}</p>
    <p v-if="errors.after || trouble" class="trouble" role="alert">{{ errors.after ?? trouble }}</p>
    <el-button type="primary" size="large" :disabled="sending" @click="goOn">
      {{ texts.goOnWith(next.filterName) }}
    </el-button>
  </section>
</template>
