<script setup lang="ts">
import { computed } from 'vue'
import { MovedPanel } from '@/features/visit'
import { ComingReadings } from '@/features/water'
import type { Schemas } from '@/shared/api/client'
import { say } from '@/shared/units'
import { counted } from '@/shared/words'
import GoOn from './GoOn.vue'
import { offMinutes, takesDown } from './progress'
import type { Guided } from './queries'

/** After the service: what was done and regained, what moved, and what to look at in ten minutes and tomorrow. */
const props = defineProps<{ saved: Schemas['SavedService']; guided: Guided }>()
const emit = defineEmits<{ merged: [saved: Schemas['SavedService']] }>()

const down = computed(() => takesDown(props.guided))
const off = computed(() =>
  offMinutes(
    props.guided.steps,
    props.guided.events,
    Date.parse(props.guided.finishedAt ?? '') || Date.now(),
  ),
)
const did = (step: string) =>
  props.guided.events.some(
    (event) => event.kind === 'DONE' && (event.step === step || event.step.startsWith(`${step}:`)),
  )
/** Litres of tank water drawn for rinsing and vacuumed off. */
const drawn = computed(() =>
  props.guided.steps.filter((step) => did(step.id)).reduce((sum, step) => sum + (step.drawnL ?? 0), 0),
)
const regained = computed(() => {
  const flow = props.saved.service.flows[0]
  if (flow?.beforeLph === undefined || flow.afterLph === undefined) return ''
  return `Flow ${say('FLOW', flow.beforeLph)} before, ${say('FLOW', flow.afterLph)} after.`
})
const facts = computed(() =>
  [
    props.saved.service.minutes ? `${counted(props.saved.service.minutes, 'minute')} of work.` : '',
    off.value ? `Filter off for ${counted(off.value, 'minute')}.` : '',
    regained.value,
  ].filter(Boolean),
)
</script>

<template>
  <GoOn :guided="guided" />
  <p v-if="facts.length" class="mb-3 font-600">{{ facts.join(' ') }}</p>
  <MovedPanel :saved="saved" :corrected="false" @merged="(one) => emit('merged', one)" />
  <section class="grid gap-6px mt-4">
    <template v-if="down">
      <h2>This week</h2>
      <p>
        Where animals stay in this tank: test ammonia and nitrite daily, since bacteria left with the filter,
        and see that its water still moves at the surface.
      </p>
    </template>
    <template v-else>
      <h2>In ten minutes</h2>
      <p>No drips, water clear again, level steady, leak sensor dry and plugged in.</p>
      <h2>Tomorrow</h2>
      <p>Animals active, eating and breathing normally; flow as it was left.</p>
    </template>
    <p>Sick animals are a vet’s matter.</p>
    <ComingReadings :tank="saved.service.tankId" />
    <p class="small quiet">
      Readings asked for stand in your rounds on their days. Keep the kit’s waiting time.
    </p>
    <template v-if="drawn">
      <h2>Water</h2>
      <p>
        {{ say('VOLUME', drawn) }} were drawn from the tank.
        <RouterLink
          :to="{
            name: 'water-change',
            params: { tank: saved.service.tankId },
            query: { buckets: String(drawn) },
          }"
          >Log the water change</RouterLink
        >
      </p>
    </template>
  </section>
</template>
