<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { FindingPick } from '@/features/visit'
import CautionNote from '@/shared/components/CautionNote.vue'
import type { Finding } from '@/shared/words'
import { toldBefore } from './cautions'
import FlowCatch from './FlowCatch.vue'
import type { Step } from './queries'
import StrayPick from './StrayPick.vue'
import TopUp from './TopUp.vue'

/** The step to do now: large, with its reason, its cautions, and what is written down here. */
const props = defineProps<{
  step: Step
  steps: Step[]
  tank: number
  finding?: Finding
  /** Where media came from that was in the pump. */
  stray?: string
  /** What lies in the filter that could get into its pump. */
  media: string[]
  running: boolean
}>()
const emit = defineEmits<{
  grade: [finding: Finding | undefined]
  time: []
  flow: [litresPerHour: number]
  stray: [place: string]
}>()

/** Tank water that the steps before this one drew, litres. */
const drawn = computed(() =>
  props.steps
    .slice(0, props.steps.indexOf(props.step))
    .reduce((litres, step) => litres + (step.drawnL ?? 0), 0),
)
</script>

<template>
  <section aria-live="polite">
    <p class="now text-30px font-620 tracking--0.01em leading-1.22 mb-12px max-phone:text-24px">
      {{ step.text }}
    </p>
    <p v-if="step.reason" class="mb-18px text-ink-quiet text-19px max-phone:text-17px">{{ step.reason }}</p>
    <CautionNote
      v-for="caution in step.cautions"
      :key="caution"
      class="caution text-17px"
      :text="caution"
      :again="toldBefore(steps, step.id, caution)"
    />
    <el-button v-if="step.timerMinutes && !running" @click="emit('time')">
      {{ texts.startTheMinutes(step.timerMinutes) }}
    </el-button>
    <FindingPick
      v-if="step.captures === 'FINDING'"
      :model-value="finding"
      :what="step.stageName ?? texts.part"
      :grades="step.grades"
      @update:model-value="(grade) => emit('grade', grade)"
    />
    <StrayPick
      v-if="step.captures === 'STRAY'"
      :stray="stray"
      :places="media"
      @say="(place) => emit('stray', place)"
    />
    <TopUp v-if="step.effects.includes('TOPPED_UP') && drawn > 0" :tank="tank" :litres="drawn" />
    <FlowCatch
      v-if="step.captures === 'FLOW_BEFORE' || step.captures === 'FLOW_AFTER'"
      :key="step.id"
      @flow="(lph) => emit('flow', lph)"
    />
  </section>
</template>

<style scoped>
.el-button {
  min-height: 56px;
  margin-bottom: 12px;
}
</style>
