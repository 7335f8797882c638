<script setup lang="ts">
import { computed } from 'vue'
import CautionNote from '@/shared/components/CautionNote.vue'
import { inOurUnits, say, withUnit } from '@/shared/units'
import { counted } from '@/shared/words'
import { toldBefore } from './cautions'
import type { Procedure } from './queries'

/** What a service takes and every step of it; also the card that is printed for the bench. */
const props = defineProps<{ procedure: Procedure; tank: string }>()

/** Which water media is rinsed in matters only where something is rinsed. */
const rinses = computed(() => props.procedure.steps.some((step) => step.reason === props.procedure.rinseWith))

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
      About {{ counted(procedure.minutes, 'minute') }}, {{ counted(procedure.steps.length, 'step') }}.
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
    <ol>
      <li v-for="step in procedure.steps" :key="step.id">
        {{ step.text }} <span v-if="step.timerMinutes" class="num">{{ step.timerMinutes }} min</span>
        <CautionNote
          v-for="caution in step.cautions"
          :key="caution"
          class="small"
          :text="caution"
          :again="toldBefore(procedure.steps, step.id, caution)"
        />
      </li>
    </ol>
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

ol {
  counter-reset: step;
}

ol li {
  position: relative;
  padding: 6px 0 6px 38px;
  border-bottom: 1px solid var(--hair);
  counter-increment: step;
}

ol li::before {
  position: absolute;
  left: 0;
  color: var(--ink-quiet);
  font-family: var(--mono);
  content: counter(step);
}

@media print {
  .el-button {
    display: none;
  }
}
</style>
