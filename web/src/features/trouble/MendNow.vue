<script setup lang="ts">
import { computed } from 'vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import type { Outcome } from './hypotheses'
import { ASK_OTHERS, type Known, type Repair } from './network'
import { onwardOf } from './onward'
import { EXIT, effortWords } from './words'

/** A repair to try, as a guided service where it is a task of this filter; then whether it helped. */
const props = defineProps<{
  repair: Repair
  because: 'ALARM' | 'NAMED' | 'QUICKER' | 'NOTHING_LEFT'
  known: Known
  tank: number
  /** Task of this filter it is logged as. */
  task?: number
  /** The likeliest cause it mends, in words. */
  cause?: string
  sending: boolean
}>()
const emit = defineEmits<{ tried: [outcome: Outcome]; remind: [hours: number]; leave: [] }>()

const others = computed(() => props.repair.id === ASK_OTHERS)
const NOTHING_LEFT =
  'What a keeper can look at and try is used up, or costs more than asking somebody who knows.'
const why = computed(() => {
  const { because, cause } = props
  if (because === 'NOTHING_LEFT') return NOTHING_LEFT
  if (because === 'ALARM') return 'Do this first: what you saw is a danger in itself.'
  if (because === 'NAMED') return cause ? `Very likely ${cause}.` : ''
  return cause ? `Quicker to try than to ask. It may be that ${cause}.` : 'Quicker to try than to ask.'
})
const onward = computed(() => onwardOf(props.repair.id))
const print = () => {
  globalThis.print()
}
</script>

<template>
  <section aria-live="polite">
    <p class="small quiet">{{ others ? 'Next' : effortWords(repair, known.kind) }}</p>
    <h2>{{ repair.words }}</h2>
    <p class="why">{{ why }}</p>
    <p v-if="repair.caution" class="caution">{{ repair.caution }}</p>
    <p v-if="repair.exit" class="caution">{{ EXIT[repair.exit] }}</p>
    <p v-if="!others" class="small quiet">The maker’s manual and the product’s label come first.</p>
    <div class="row">
      <LinkButton
        v-if="task !== undefined"
        type="primary"
        :to="{ name: 'prepare', params: { tank }, query: { tasks: String(task) } }"
        >Be guided through it</LinkButton
      >
      <LinkButton v-if="onward" :to="onward.to(tank)">{{ onward.label }}</LinkButton>
      <el-button v-if="others" type="primary" @click="print">Print this page</el-button>
      <el-button :disabled="sending" @click="emit('remind', repair.cost.slow ? 24 : 0)">
        {{ repair.cost.slow ? 'Ask me tomorrow' : 'Put it on my rounds' }}
      </el-button>
    </div>
    <fieldset>
      <legend>{{ others ? 'Is it mended?' : 'Did that help?' }}</legend>
      <div class="outcomes">
        <el-button size="large" @click="emit('tried', 'solved')">Yes</el-button>
        <template v-if="!others">
          <el-button size="large" @click="emit('tried', 'partly')">A little</el-button>
          <el-button size="large" @click="emit('tried', 'no-change')">No</el-button>
        </template>
        <el-button v-else size="large" @click="emit('leave')">Give the case up</el-button>
      </div>
    </fieldset>
  </section>
</template>

<style scoped>
h2 {
  margin: 2px 0 8px;
  font-size: 28px;
  font-weight: 620;
  line-height: 1.22;
}

.why {
  margin-bottom: 12px;
  font-size: 18px;
}

.caution {
  margin: 2px 0 12px;
  padding: 2px 0 2px 12px;
  border-left: 4px solid var(--brick);
  font-size: 17px;
}

.row,
.outcomes {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 12px 0;
}

.outcomes .el-button {
  min-width: 110px;
  min-height: 60px;
  font-size: 18px;
}

legend {
  padding: 0;
  font-weight: 620;
  font-size: 18px;
}

fieldset {
  margin-top: 8px;
  border: 0;
  padding: 0;
}

@media (width <= 640px) {
  h2 {
    font-size: 23px;
  }
}
</style>
