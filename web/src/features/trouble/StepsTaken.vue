<script setup lang="ts">
import { momentWords } from '@/shared/dates'
import { answerWords } from './because'
import type { Step } from './finder'
import { perilOf, questionOf, repairOf } from './network'
import type { TroubleEvent } from './queries'

/** What was answered and tried so far, by whom; each can be looked at again or taken back. */
defineProps<{ taken: { step: Step; event: TroubleEvent }[]; readonly: boolean }>()
const emit = defineEmits<{ again: [question: string]; back: [event: TroubleEvent] }>()

const OUTCOME: Record<string, string> = {
  solved: 'It helped',
  partly: 'It helped a little',
  'no-change': 'No change',
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
    <h3 id="so-far">So far</h3>
    <p v-if="!taken.length" class="quiet">Nothing yet.</p>
    <ol>
      <li v-for="{ step, event } in taken" :key="event.id">
        <div>
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
            text
            type="primary"
            :aria-label="`Look again: ${asked(step)}`"
            @click="emit('again', step.about)"
            >Look again</el-button
          >
          <el-button text type="primary" :aria-label="`Take back: ${said(step)}`" @click="emit('back', event)"
            >Take back</el-button
          >
        </p>
      </li>
    </ol>
  </section>
</template>

<style scoped>
ol {
  display: grid;
  gap: 4px;
  margin: 8px 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  align-items: center;
  justify-content: space-between;
  border-bottom: 1px solid var(--hair);
}

li > div {
  flex: 1 1 200px;
  padding: 6px 0;
}

p {
  margin: 0;
}

.does .el-button {
  padding-inline: 6px;
}
</style>
