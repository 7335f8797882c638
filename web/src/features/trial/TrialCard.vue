<script setup lang="ts">
import { computed } from 'vue'
import { useRights } from '@/features/account'
import { useSiteFilters } from '@/features/filter'
import LinkButton from '@/shared/components/LinkButton.vue'
import { shortDay } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { money } from '@/shared/units'
import { useAdopt, useDisown, useRemoveTrial, useResumeTrial, useStopTrial, type Trial } from './queries'
import TrialCurve from './TrialCurve.vue'
import {
  effortWords,
  kneeWords,
  outlookWords,
  progressWords,
  riseWords,
  verdictWords,
  wayWords,
} from './trials'
import TrialStrip from './TrialStrip.vue'

/** One trial: how far it is, what the readings say so far, and what each way took. */
const props = defineProps<{ trial: Trial }>()

const { mayKeep: keeper } = useRights()
const stop = useStopTrial()
const resume = useResumeTrial()
const remove = useRemoveTrial()
const adopt = useAdopt()
const disown = useDisown()
const filters = useSiteFilters()
const { sending, trouble, send } = useSending()
const subject = computed(() => props.trial.subject)
/** Where doing it uses up what has a price. */
const costs = computed(() => props.trial.ways.some((way) => (way.costAWeek ?? 0) > 0))
const running = computed(() => props.trial.state === 'RUNNING')

async function end() {
  const { id } = props.trial
  const stopped = send(async () => {
    await stop.mutateAsync(id)
    return true
  })
  if (await stopped) offerUndo('Trial stopped.', () => resume.mutateAsync(id))
}

/** Keeps one of the ways as the task's interval; how it was set before is known here, for the way back. */
async function keep(way: number) {
  const { id } = props.trial
  const task = filters.data.value
    ?.flatMap((filter) => filter.tasks)
    .find((one) => one.id === subject.value.taskId)
  if (!task) return
  const before = { mode: task.mode, fixedDays: task.fixedDays }
  const kept = send(async () => {
    await adopt.mutateAsync({ id, way })
    return true
  })
  if (await kept)
    offerUndo(`${subject.value.task}: ${wayWords(props.trial.ways[way]?.days)} from now on.`, () =>
      disown.mutateAsync({ id, before }),
    )
}

async function strike() {
  const sure = await ElMessageBox.confirm(
    'What was done and read stays in the log; the comparison goes.',
    'Remove this trial from the list?',
    { confirmButtonText: 'Remove it', cancelButtonText: 'Keep it' },
  ).catch(() => undefined)
  if (sure) await send(() => remove.mutateAsync(props.trial.id))
}
</script>

<template>
  <article class="trial" :aria-label="`${subject.task}, ${subject.tank}`">
    <h2>
      <RouterLink :to="{ name: 'task', params: { tank: subject.tankId, task: subject.taskId } }">{{
        subject.task
      }}</RouterLink>, {{ subject.tank }}
    </h2>
    <p class="small quiet">
      {{ progressWords(trial) }}; {{ shortDay(trial.plan.began) }} to {{ shortDay(trial.plan.until) }}
    </p>
    <TrialStrip :trial="trial" />
    <p class="verdict">
      {{ verdictWords(trial) }} {{ kneeWords(trial) }} {{ effortWords(trial) }} {{ outlookWords(trial) }}
    </p>
    <TrialCurve :trial="trial" />
    <table>
      <thead>
        <tr class="small quiet">
          <th scope="col">Way</th>
          <th scope="col">Days so far</th>
          <th scope="col">Times done</th>
          <th scope="col">Minutes a week</th>
          <th v-if="costs" scope="col">Cost a week</th>
          <th scope="col">{{ subject.parameter }} rises a week</th>
          <th v-if="!running" scope="col"><span class="seen-by-readers">Keep it</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(way, i) in trial.ways" :key="i">
          <th scope="row">{{ wayWords(way.days) }}</th>
          <td class="num">{{ way.daysLived }}</td>
          <td class="num">{{ way.times }}</td>
          <td class="num">{{ way.minutesAWeek?.toFixed(0) ?? '–' }}</td>
          <td v-if="costs" class="num">{{ way.costAWeek === undefined ? '–' : money(way.costAWeek) }}</td>
          <td class="num">
            <template v-if="way.rise"
              >{{ riseWords(way.rise.perWeek, subject.unit) }}
              <span class="small quiet"
                >{{ riseWords(way.rise.low, '') }} to {{ riseWords(way.rise.high, '') }}</span
              ></template
            >
            <template v-else>–</template>
          </td>
          <td v-if="!running">
            <b v-if="trial.adopted === i">chosen</b>
            <el-button
              v-else-if="keeper && way.days !== undefined"
              type="primary"
              text
              :disabled="sending"
              @click="keep(i)"
            >
              Adopt {{ wayWords(way.days) }}
            </el-button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="trouble" role="alert">{{ trouble }}</p>
    <el-button v-if="running && keeper" :disabled="sending" @click="end"> Stop it today </el-button>
    <LinkButton v-if="!running && keeper" text :to="{ name: 'new-trial', query: { like: trial.id } }">
      Try it once more
    </LinkButton>
    <el-button v-if="!running && keeper" type="primary" text :disabled="sending" @click="strike">
      Remove it from the list
    </el-button>
  </article>
</template>

<style scoped>
.trial {
  display: grid;
  gap: 8px;
  justify-items: start;
  padding: 16px 0;
  border-top: 1px solid var(--hair);
}

.verdict {
  max-width: 860px;
}

table {
  border-collapse: collapse;
}

th,
td {
  padding: 4px 22px 4px 0;
  text-align: left;
  font-weight: inherit;
}

td {
  text-align: right;
}

tbody th {
  font-weight: 640;
}
</style>
