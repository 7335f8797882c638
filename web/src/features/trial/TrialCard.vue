<script setup lang="ts">
import { computed } from 'vue'
import { useSession } from '@/features/account'
import { shortDay } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { useRemoveTrial, useResumeTrial, useStopTrial, type Trial } from './queries'
import { effortWords, everyWords, progressWords, riseWords, verdictWords } from './trials'
import TrialStrip from './TrialStrip.vue'

/** One trial: how far it is, what the readings say so far, and what each way took. */
const props = defineProps<{ trial: Trial }>()

const session = useSession()
const stop = useStopTrial()
const resume = useResumeTrial()
const remove = useRemoveTrial()
const { sending, trouble, send } = useSending()
const subject = computed(() => props.trial.subject)
const running = computed(() => props.trial.state === 'RUNNING')

async function end() {
  const { id } = props.trial
  const stopped = send(async () => {
    await stop.mutateAsync(id)
    return true
  })
  if (await stopped) offerUndo('Trial stopped.', () => resume.mutateAsync(id))
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
    <p class="verdict">{{ verdictWords(trial) }} {{ effortWords(trial) }}</p>
    <table>
      <thead>
        <tr class="small quiet">
          <th scope="col">Way</th>
          <th scope="col">Days so far</th>
          <th scope="col">Times done</th>
          <th scope="col">Minutes a week</th>
          <th scope="col">{{ subject.parameter }} rises a week</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="way in trial.ways" :key="way.way">
          <th scope="row">{{ everyWords(way.days) }}</th>
          <td class="num">{{ way.daysLived }}</td>
          <td class="num">{{ way.times }}</td>
          <td class="num">{{ way.minutesAWeek?.toFixed(0) ?? '–' }}</td>
          <td class="num">
            <template v-if="way.rise"
              >{{ riseWords(way.rise.perWeek, subject.unit) }}
              <span class="small quiet"
                >{{ riseWords(way.rise.low, '') }} to {{ riseWords(way.rise.high, '') }}</span
              ></template
            >
            <template v-else>–</template>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="trouble" role="alert">{{ trouble }}</p>
    <el-button v-if="running" :disabled="sending" @click="end"> Stop it today </el-button>
    <el-button
      v-else-if="session.data.value?.role === 'KEEPER'"
      type="primary"
      text
      :disabled="sending"
      @click="strike"
    >
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
