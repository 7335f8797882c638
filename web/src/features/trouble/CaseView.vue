<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { useTanks } from '@/features/tank'
import AsyncState from '@/shared/components/AsyncState.vue'
import { useKeys } from '@/shared/keys'
import AskNow from './AskNow.vue'
import { useCase } from './case'
import CaseFoot from './CaseFoot.vue'
import CaseNotes from './CaseNotes.vue'
import CaseTop from './CaseTop.vue'
import { useDeeds } from './deeds'
import { ASK_OTHERS, questionOf, repairFor, causeOf, OTHER } from './network'
import LeftNow from './LeftNow.vue'
import LikelyCauses from './LikelyCauses.vue'
import MendNow from './MendNow.vue'
import SolvedNow from './SolvedNow.vue'
import StepsTaken from './StepsTaken.vue'
import StopNow from './StopNow.vue'
import { causeWords } from './words'

/** At the tank: one complaint, asked through one cheap look at a time, until it is mended or handed on. */
const props = defineProps<{ case: string }>()

const tanks = useTanks()
const one = useCase(props.case)
const deeds = useDeeds(props.case, one)
const { sending, trouble } = deeds

/** A question that is looked at again. */
const again = ref<string>()
const view = computed(() => one.view.value)
const next = computed(() => one.standing.value?.next)
const left = computed(() => view.value?.summary.standing === 'LEFT')
const tank = computed(
  () => tanks.data.value?.find(({ id }) => id === view.value?.summary.tankId)?.tank.name ?? '',
)
const asking = computed(() =>
  again.value !== undefined
    ? questionOf(again.value)
    : next.value?.step === 'QUESTION'
      ? next.value.question
      : undefined,
)
const given = computed(() => one.steps.value.findLast(({ about }) => about === again.value)?.value)
const clash = computed(() => one.standing.value?.clash)
/** The likeliest cause that the repair in hand mends. */
const cause = computed(() => {
  const known = view.value?.known
  if (next.value?.step !== 'REPAIR' || !known || next.value.repair.id === ASK_OTHERS) return undefined
  const { id } = next.value.repair
  const mended = one.standing.value?.causes.find(
    ({ cause: it }) => it !== OTHER && repairFor(causeOf(it), known.kind) === id,
  )
  return mended && causeWords(mended.cause)
})
const tells = computed(() => {
  const question = again.value === undefined ? asking.value : undefined
  const pair = question && one.inquiry.value?.apart(question, one.standing.value?.causes ?? [])
  return pair ? texts.thisHelpsToTell(causeWords(pair[0]), causeWords(pair[1])) : ''
})
const taskOf = (repair: string) => view.value?.tasks[repair]

function answer(value: string) {
  const question = asking.value
  if (!question) return
  again.value = undefined
  one.record('ANSWER', question.id, value)
}

function back() {
  const last = one.taken.value.at(-1)
  again.value = undefined
  if (last) one.takeBack(last.event)
}

const later = (hours: number) =>
  next.value?.step === 'REPAIR' &&
  deeds.later(`${view.value?.summary.filterName ?? ''}: ${next.value.repair.words}`, hours)

useKeys((key) => {
  if (key === 'Backspace' && one.taken.value.length) back()
})
</script>

<template>
  <main class="page">
    <AsyncState
      :pending="!view && one.reachable.value && !one.failure.value"
      :error="
        view ? undefined : (one.failure.value ?? (one.reachable.value ? undefined : texts.noConnection))
      "
      :what="texts.theCase"
      @retry="one.sync()"
    >
      <template v-if="view && next && one.inquiry.value">
        <CaseTop :view="view" :tank="tank" />
        <CaseNotes
          :reachable="one.reachable.value"
          :failure="one.failure.value"
          :trouble="trouble"
          @drop="one.drop()"
        />
        <div
          class="sides grid cols-[7_minmax(280px,4fr)] gap-y-24px gap-x-48px items-start mt-3 max-half:cols-1"
        >
          <div class="main">
            <LeftNow v-if="left" :sending="sending" @resume="deeds.resume" />
            <StopNow
              v-else-if="next.step === 'STOP'"
              :peril="next.peril"
              :sending="sending"
              @back="back"
              @leave="deeds.giveUp"
            />
            <template v-else>
              <p v-if="clash && !again" class="my-2 note-amber">
                {{ texts.thatDoesNotFit(questionOf(clash).ask) }}
                <el-button text type="primary" @click="again = clash">{{ texts.lookAtThatAgain }}</el-button>
              </p>
              <AskNow
                v-if="asking"
                :key="asking.id"
                :question="asking"
                :known="view.known"
                :tank="view.summary.tankId"
                :tells="tells"
                :given="given"
                @answer="answer"
              />
              <AskNow
                v-else-if="next.step === 'DANGER'"
                :key="next.peril.id"
                :peril="next.peril"
                :known="view.known"
                :tank="view.summary.tankId"
                @answer="(value) => next?.step === 'DANGER' && one.record('DANGER', next.peril.id, value)"
              />
              <MendNow
                v-else-if="next.step === 'REPAIR'"
                :key="next.repair.id"
                :repair="next.repair"
                :because="next.because"
                :known="view.known"
                :tank="view.summary.tankId"
                :task="taskOf(next.repair.id)"
                :cause="cause"
                :sending="sending"
                @tried="(value) => next?.step === 'REPAIR' && one.record('TRIED', next.repair.id, value)"
                @remind="later"
                @leave="deeds.giveUp"
              />
              <SolvedNow
                v-else-if="next.step === 'SOLVED'"
                :repair="next.repair"
                :summary="view.summary"
                :task="taskOf(next.repair.id)"
                :known="view.summary.standing === 'SOLVED'"
                @overrule="deeds.count"
                @back="back"
              />
              <CaseFoot
                :again="again !== undefined"
                :steps="one.taken.value.length"
                :over="next.step === 'SOLVED'"
                :exits="(one.standing.value?.offersExit ?? false) && next.step === 'QUESTION'"
                :sending="sending"
                @keep="again = undefined"
                @back="back"
                @others="one.record('TRIED', ASK_OTHERS, 'no-change')"
                @leave="deeds.giveUp"
                @drop="deeds.drop"
              />
            </template>
          </div>
          <aside class="grid gap-4">
            <LikelyCauses
              v-if="next.step !== 'SOLVED' && next.step !== 'STOP' && one.standing.value"
              :causes="one.standing.value.causes"
              :inquiry="one.inquiry.value"
              :known="view.known"
              :steps="one.steps.value"
            />
            <StepsTaken
              :taken="one.taken.value"
              :readonly="left"
              @again="(question) => (again = question)"
              @back="one.takeBack"
            />
          </aside>
        </div>
      </template>
    </AsyncState>
  </main>
</template>
