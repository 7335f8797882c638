<script setup lang="ts">
import { texts } from './texts'
import { momentWords } from '@/shared/dates'
import { answerWords } from './because'
import type { Step } from './finder'
import { perilOf, questionOf, repairOf } from './network'
import type { TroubleEvent } from './queries'

/** What was answered and tried so far, by whom; each can be looked at again or taken back. */
defineProps<{ taken: { step: Step; event: TroubleEvent }[]; readonly: boolean }>()
const emit = defineEmits<{ again: [question: string]; back: [event: TroubleEvent] }>()

const OUTCOME: Record<string, string> = {
  solved: texts.itHelped,
  partly: texts.itHelpedALittle,
  'no-change': texts.noChange,
}

const asked = ({ kind, about }: Step) =>
  kind === 'ANSWER' ? questionOf(about).ask : kind === 'DANGER' ? perilOf(about).ask : repairOf(about).words

function said({ kind, about, value }: Step): string {
  if (kind === 'TRIED') return OUTCOME[value] ?? value
  if (kind === 'ANSWER') return answerWords(about, value)
  return perilOf(about).answers.find((one) => one.id === value)?.words ?? value
}
</script>

<template>
  <section aria-labelledby="so-far">
    <h3 id="so-far">{{ texts.soFar }}</h3>
    <p v-if="!taken.length" class="quiet">{{ texts.nothingYet }}</p>
    <ol class="grid gap-1 my-2 list-none">
      <li
        v-for="{ step, event } in taken"
        :key="event.id"
        class="flex flex-wrap gap-y-0 gap-x-10px items-center justify-between edge-b-hair"
      >
        <div class="flex-[1_1_200px] py-6px">
          <p class="small quiet">{{ asked(step) }}</p>
          <p>
            <b>{{ said(step) }}</b>
            <span class="small quiet">
              · {{ event.doneBy ? `${event.doneBy}, ` : '' }}{{ momentWords(event.happenedAt) }}</span
            >
          </p>
        </div>
        <p v-if="!readonly" class="does">
          <el-button
            v-if="step.kind === 'ANSWER'"
            class="[padding-inline:6px]"
            text
            type="primary"
            :aria-label="texts.lookAgain(asked(step))"
            @click="emit('again', step.about)"
            >{{ texts.lookAgain2 }}</el-button
          >
          <el-button
            class="[padding-inline:6px]"
            text
            type="primary"
            :aria-label="texts.takeBack(said(step))"
            @click="emit('back', event)"
            >{{ texts.takeBack2 }}</el-button
          >
        </p>
      </li>
    </ol>
  </section>
</template>
