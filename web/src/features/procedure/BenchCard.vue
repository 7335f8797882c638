<script setup lang="ts">
import { computed } from 'vue'
import { inOurUnits, say, withUnit } from '@/shared/units'
import { counted } from '@/shared/words'
import type { Procedure } from './queries'
import StepList from './StepList.vue'

/** What a service takes and every step of it; also the card that is printed for the bench. */
const props = defineProps<{ procedure: Procedure; tank: string }>()

/** Which water media is rinsed in matters only where something is rinsed. */
const rinses = computed(() => props.procedure.steps.some((step) => step.reason === props.procedure.rinseWith))
/** Of this filter and of those that follow. */
const minutes = computed(() =>
  props.procedure.then.reduce((sum, next) => sum + next.minutes, props.procedure.minutes),
)
const steps = computed(() =>
  props.procedure.then.reduce((sum, next) => sum + next.steps.length, props.procedure.steps.length),
)

const print = () => {
  globalThis.print()
}
</script>

<template>
  <article class="card" :aria-label="`Bench card for ${procedure.filterName}`">
    <div class="flex justify-between items-baseline">
      <h2>{{ procedure.filterName }} on {{ tank }}</h2>
      <el-button class="print:hidden" type="primary" text @click="print">Print</el-button>
    </div>
    <p class="quiet">
      About {{ counted(minutes, 'minute') }}, {{ counted(steps, 'step') }}.
      {{ rinses ? procedure.rinseWith : '' }}
    </p>
    <p
      v-for="warning in procedure.warnings"
      :key="warning"
      class="my-2 py-2 px-3 edge-l-5-amber bg-amber-soft"
      role="note"
    >
      {{ warning }}
    </p>
    <p
      v-for="{ hold, work } in procedure.held"
      :key="hold.cause"
      class="my-2 py-2 px-3 edge-l-5-plum bg-plum-soft"
      role="note"
    >
      <b>On hold:</b> {{ work.join(', ') }}. {{ inOurUnits(hold.reason) }} {{ hold.clears }}
    </p>
    <div class="take grid cols-[repeat(auto-fit,minmax(200px,1fr))] gap-y-2 gap-x-30px my-10px">
      <section v-if="procedure.carry.length">
        <h3>What to bring</h3>
        <ul>
          <li v-for="thing in procedure.carry" :key="thing">{{ thing }}</li>
        </ul>
      </section>
      <section v-if="procedure.draw">
        <h3>Draw</h3>
        <p>
          {{ say('VOLUME', procedure.draw.litres) }} of tank water,
          {{ withUnit(procedure.draw.percent, '%') }} of the tank. It counts towards today’s water change.
        </p>
      </section>
    </div>
    <h3>Steps</h3>
    <StepList :steps="procedure.steps" />
    <template v-for="next in procedure.then" :key="next.filterId">
      <h3>Then {{ next.filterName }}</h3>
      <StepList :steps="next.steps" />
    </template>
  </article>
</template>
