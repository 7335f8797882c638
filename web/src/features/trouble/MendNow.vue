<script setup lang="ts">
import { texts } from './texts'
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
const NOTHING_LEFT = texts.whatAKeeperCan
const why = computed(() => {
  const { because, cause } = props
  if (because === 'NOTHING_LEFT') return NOTHING_LEFT
  if (because === 'ALARM') return texts.doThisFirstWhat
  if (because === 'NAMED') return cause ? texts.veryLikely2(cause) : ''
  return cause ? texts.quickerToTryThan(cause) : texts.quickerToTryThanTo
})
const onward = computed(() => onwardOf(props.repair.id))
const print = () => {
  globalThis.print()
}
</script>

<template>
  <section aria-live="polite">
    <p class="small quiet">{{ others ? texts.next : effortWords(repair, known.kind) }}</p>
    <h2 class="mt-2px mb-2 text-28px font-620 leading-1.22 max-phone:text-23px">{{ repair.words }}</h2>
    <p class="why mb-12px text-18px">{{ why }}</p>
    <p v-if="repair.caution" class="caution mt-2px mb-12px py-2px pl-12px edge-l-4-brick text-17px">
      {{ repair.caution }}
    </p>
    <p v-if="repair.exit" class="caution mt-2px mb-12px py-2px pl-12px edge-l-4-brick text-17px">
      {{ EXIT[repair.exit] }}
    </p>
    <p v-if="!others" class="small quiet">{{ texts.theMakersManualAnd }}</p>
    <div class="flex flex-wrap gap-10px my-12px">
      <LinkButton
        v-if="task !== undefined"
        type="primary"
        :to="{ name: 'prepare', params: { tank }, query: { tasks: String(task) } }"
        >{{ texts.beGuidedThroughIt }}</LinkButton
      >
      <LinkButton v-if="onward" :to="onward.to(tank)">{{ onward.label }}</LinkButton>
      <el-button v-if="others" type="primary" @click="print">{{ texts.printThisPage }}</el-button>
      <el-button :disabled="sending" @click="emit('remind', repair.cost.slow ? 24 : 0)">
        {{ repair.cost.slow ? texts.askMeTomorrow : texts.putItOnMy }}
      </el-button>
    </div>
    <fieldset class="mt-2 border-0">
      <legend class="p-0 font-620 text-18px">{{ others ? texts.isItMended : texts.didThatHelp }}</legend>
      <div class="flex flex-wrap gap-10px my-12px">
        <el-button class="min-w-110px min-h-60px text-18px" size="large" @click="emit('tried', 'solved')">{{
          texts.yes
        }}</el-button>
        <template v-if="!others">
          <el-button class="min-w-110px min-h-60px text-18px" size="large" @click="emit('tried', 'partly')">{{
            texts.aLittle
          }}</el-button>
          <el-button
            class="min-w-110px min-h-60px text-18px"
            size="large"
            @click="emit('tried', 'no-change')"
            >{{ texts.no }}</el-button
          >
        </template>
        <el-button v-else class="min-w-110px min-h-60px text-18px" size="large" @click="emit('leave')">{{
          texts.giveTheCaseUp
        }}</el-button>
      </div>
    </fieldset>
  </section>
</template>
