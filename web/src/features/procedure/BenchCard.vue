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
    <div class="head">
      <h2>{{ procedure.filterName }} on {{ tank }}</h2>
      <el-button type="primary" text @click="print">Print</el-button>
    </div>
    <p class="quiet">
      About {{ counted(minutes, 'minute') }}, {{ counted(steps, 'step') }}.
      {{ rinses ? procedure.rinseWith : '' }}
    </p>
    <p v-for="warning in procedure.warnings" :key="warning" class="warning" role="note">{{ warning }}</p>
    <p v-for="{ hold, work } in procedure.held" :key="hold.cause" class="held" role="note">
      <b>On hold:</b> {{ work.join(', ') }}. {{ inOurUnits(hold.reason) }} {{ hold.clears }}
    </p>
    <div class="take">
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

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}

.warning {
  margin: 8px 0;
  padding: 8px 14px;
  border-left: 5px solid var(--amber);
  background: var(--amber-soft);
}

.held {
  margin: 8px 0;
  padding: 8px 14px;
  border-left: 5px solid var(--plum);
  background: var(--plum-soft);
}

.take {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: 8px 30px;
  margin: 10px 0;
}

@media print {
  .el-button {
    display: none;
  }
}
</style>
