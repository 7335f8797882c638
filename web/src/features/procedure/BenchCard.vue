<script setup lang="ts">
import { texts } from './texts'
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
  <article class="card" :aria-label="texts.benchCardFor(procedure.filterName)">
    <div class="flex justify-between items-baseline">
      <h2>{{ texts.on(procedure.filterName, tank) }}</h2>
      <el-button class="print:hidden" type="primary" text @click="print">{{ texts.print }}</el-button>
    </div>
    <p class="quiet">
      {{ texts.about(counted(minutes, 'minute'), counted(steps, 'step'), rinses ? procedure.rinseWith : '') }}
    </p>
    <p v-for="warning in procedure.warnings" :key="warning" class="my-2 note-amber" role="note">
      {{ warning }}
    </p>
    <p v-for="{ hold, work } in procedure.held" :key="hold.cause" class="my-2 note-plum" role="note">
      <b>{{ texts.onHold }}</b> {{ work.join(', ') }}. {{ inOurUnits(hold.reason) }} {{ hold.clears }}
    </p>
    <div class="take grid cols-[repeat(auto-fit,minmax(200px,1fr))] gap-y-2 gap-x-30px my-10px">
      <section v-if="procedure.carry.length">
        <h3>{{ texts.whatToBring }}</h3>
        <ul>
          <li v-for="thing in procedure.carry" :key="thing">{{ thing }}</li>
        </ul>
      </section>
      <section v-if="procedure.draw">
        <h3>{{ texts.draw }}</h3>
        <p>
          {{
            texts.ofTankWaterOf(say('VOLUME', procedure.draw.litres), withUnit(procedure.draw.percent, '%'))
          }}
        </p>
      </section>
    </div>
    <h3>{{ texts.steps }}</h3>
    <StepList :steps="procedure.steps" />
    <template v-for="next in procedure.then" :key="next.filterId">
      <h3>{{ texts.then(next.filterName) }}</h3>
      <StepList :steps="next.steps" />
    </template>
  </article>
</template>
