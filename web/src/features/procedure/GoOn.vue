<script setup lang="ts">
import { computed } from 'vue'
import { useSending } from '@/shared/form'
import { newId } from '@/shared/ids'
import { useRouter } from 'vue-router'
import { useStartGuided, type Guided } from './queries'

/** After one filter, the next that was asked for in the same go. */
const props = defineProps<{ guided: Guided }>()

const router = useRouter()
const startGuided = useStartGuided()
const { sending, trouble, errors, send } = useSending()

const next = computed(() => props.guided.then[0])
const heaterOff = computed(() => {
  const did = (effect: 'HEATER_OFF' | 'HEATER_ON') =>
    props.guided.steps.some(
      (step) =>
        step.effects.includes(effect) &&
        props.guided.events.some((event) => event.kind === 'DONE' && event.step === step.id),
    )
  return did('HEATER_OFF') && !did('HEATER_ON')
})

async function goOn() {
  const coming = next.value
  if (!coming) return
  const id = newId()
  const start = { filterId: coming.filterId, tasks: coming.tasks, chores: [], after: props.guided.id }
  if (await send(() => startGuided.mutateAsync({ id, start })))
    await router.push({ name: 'service', params: { service: id } })
}
</script>

<template>
  <section v-if="next" class="next">
    <h2>Next: {{ next.filterName }}</h2>
    <p v-if="heaterOff">The heater is still off. If you stop here, turn it on now and wash your hands.</p>
    <p v-if="errors.after || trouble" class="trouble" role="alert">{{ errors.after ?? trouble }}</p>
    <el-button type="primary" size="large" :disabled="sending" @click="goOn">
      Go on with {{ next.filterName }}
    </el-button>
  </section>
</template>

<style scoped>
.next {
  display: grid;
  gap: 10px;
  justify-items: start;
  margin-bottom: 22px;
}
</style>
