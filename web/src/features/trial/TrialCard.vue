<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { useRights } from '@/features/account'
import LinkButton from '@/shared/components/LinkButton.vue'
import { shortDay } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { useKeeping } from './keeping'
import { useRemoveTrial, useResumeTrial, useStopTrial, useSwap, useSwapBack, type Trial } from './queries'
import TrialCurve from './TrialCurve.vue'
import TrialMeanwhile from './TrialMeanwhile.vue'
import {
  effortWords,
  kneeWords,
  missingWords,
  outlookWords,
  progressWords,
  verdictWords,
  wayWords,
} from './trials'
import TrialStrip from './TrialStrip.vue'
import TrialWays from './TrialWays.vue'

/** One trial: how far it is, what the readings say so far, and what each way took. */
const props = defineProps<{
  trial: Trial
  /** Whether it stands on a page of its own. */
  alone?: boolean
}>()

const { mayKeep: keeper } = useRights()
const stop = useStopTrial()
const resume = useResumeTrial()
const remove = useRemoveTrial()
const { keep, giveBack } = useKeeping()
const swap = useSwap()
const swapBack = useSwapBack()
const { sending, trouble, send } = useSending()
const subject = computed(() => props.trial.subject)
/** Tanks that keep one way each say nothing of the ways until each has had them all. */
const says = computed(() =>
  [
    props.trial.plan.oneEach && props.trial.pairs.length === 0 ? undefined : verdictWords(props.trial),
    kneeWords(props.trial),
    effortWords(props.trial),
    outlookWords(props.trial),
    missingWords(props.trial),
  ]
    .filter(Boolean)
    .join(' '),
)
const running = computed(() => props.trial.state === 'RUNNING')

async function end() {
  const { id } = props.trial
  const stopped = send(async () => {
    await stop.mutateAsync(id)
    return true
  })
  if (await stopped) offerUndo(texts.trialStopped, () => resume.mutateAsync(id))
}

/** All tanks of the trial go on to their next way. */
async function exchange() {
  const { id } = props.trial
  const swapped = send(async () => {
    await swap.mutateAsync(id)
    return true
  })
  if (await swapped) offerUndo(texts.theTanksSwappedTheir, () => swapBack.mutateAsync(id))
}

/** Keeps one of the ways as the task's interval. */
async function choose(way: number) {
  const kept = await send(() => keep(props.trial, way))
  if (kept)
    offerUndo(texts.fromNowOn(subject.value.task, wayWords(props.trial.ways[way]?.days)), () =>
      giveBack(kept),
    )
}

async function strike() {
  const sure = await ElMessageBox.confirm(texts.whatWasDoneAnd, texts.removeThisTrialFrom, {
    confirmButtonText: texts.removeIt,
    cancelButtonText: texts.keepIt,
  }).catch(() => undefined)
  if (sure) await send(() => remove.mutateAsync(props.trial.id))
}
</script>

<template>
  <article
    class="grid gap-2 justify-items-start py-16px edge-t-hair"
    :aria-label="`${subject.task}, ${subject.tank}`"
  >
    <h2>
      <RouterLink :to="{ name: 'task', params: { tank: subject.tankId, task: subject.taskId } }">{{
        subject.task
      }}</RouterLink>, {{ subject.tank }}
    </h2>
    <p class="small quiet">
      {{ texts.to(progressWords(trial), shortDay(trial.plan.began), shortDay(trial.plan.until)) }}
    </p>
    <TrialStrip :trial="trial" />
    <p v-if="says" class="max-w-860px">{{ says }}</p>
    <TrialCurve :trial="trial" />
    <TrialWays :trial="trial" :chooses="keeper" :sending="sending" @adopt="choose" />
    <TrialMeanwhile :trial="trial" />
    <p v-if="trouble" role="alert">{{ trouble }}</p>
    <div class="flex flex-wrap gap-10px print:hidden">
      <el-button
        v-if="trial.plan.maySwap && keeper"
        class="m-0"
        type="primary"
        :disabled="sending"
        @click="exchange"
      >
        {{ texts.swapTheWaysToday }}
      </el-button>
      <LinkButton v-if="!alone" class="m-0" :to="{ name: 'trial', params: { trial: trial.id } }">
        {{ texts.onAPageOf }}<span class="seen-by-readers">, {{ subject.task }}, {{ subject.tank }}</span>
      </LinkButton>
      <el-button v-if="running && keeper" class="m-0" :disabled="sending" @click="end">
        {{ texts.stopItToday }}
      </el-button>
      <LinkButton
        v-if="!running && keeper"
        class="m-0"
        text
        :to="{ name: 'new-trial', query: { like: trial.id } }"
      >
        {{ texts.tryItOnceMore }}
      </LinkButton>
      <el-button
        v-if="!running && keeper"
        class="m-0"
        type="primary"
        text
        :disabled="sending"
        @click="strike"
      >
        {{ texts.removeItFromThe }}
      </el-button>
    </div>
  </article>
</template>
