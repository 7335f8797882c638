<script setup lang="ts">
import { texts } from './texts'
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
  return texts.flowBeforeAfter(say('FLOW', flow.beforeLph), say('FLOW', flow.afterLph))
})
const facts = computed(() =>
  [
    props.saved.service.minutes ? texts.ofWork(counted(props.saved.service.minutes, 'minute')) : '',
    off.value ? texts.filterOffFor(counted(off.value, 'minute')) : '',
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
      <h2>{{ texts.thisWeek }}</h2>
      <p>
        {{ texts.whereAnimalsStayIn }}
      </p>
    </template>
    <template v-else>
      <h2>{{ texts.inTenMinutes }}</h2>
      <p>{{ texts.noDripsWaterClear }}</p>
      <h2>{{ texts.tomorrow }}</h2>
      <p>{{ texts.animalsActiveEatingAnd }}</p>
    </template>
    <p>{{ texts.sickAnimalsAreA }}</p>
    <ComingReadings :tank="saved.service.tankId" />
    <p class="small quiet">
      {{ texts.readingsAskedForStand }}
    </p>
    <template v-if="drawn">
      <h2>{{ texts.water }}</h2>
      <p>
        {{ texts.wereDrawnFromThe(say('VOLUME', drawn)) }}
        <RouterLink
          :to="{
            name: 'water-change',
            params: { tank: saved.service.tankId },
            query: { buckets: String(drawn) },
          }"
          >{{ texts.logTheWaterChange }}</RouterLink
        >
      </p>
    </template>
  </section>
</template>
