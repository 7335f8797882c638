<script setup lang="ts">
import { texts } from './texts'
import CautionNote from '@/shared/components/CautionNote.vue'
import { toldBefore } from './cautions'
import type { Step } from './queries'

/** Every step in its order, with its wait and its cautions. */
defineProps<{ steps: Step[] }>()
</script>

<template>
  <ol class="[counter-reset:step]">
    <li v-for="step in steps" :key="step.id">
      {{ step.text }} <span v-if="step.timerMinutes" class="num">{{ texts.min(step.timerMinutes) }}</span>
      <CautionNote
        v-for="caution in step.cautions"
        :key="caution"
        class="small"
        :text="caution"
        :again="toldBefore(steps, step.id, caution)"
      />
    </li>
  </ol>
</template>

<style scoped>
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
</style>
