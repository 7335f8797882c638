<script setup lang="ts">
import { texts } from './texts'
import WindowLine from '@/shared/components/WindowLine.vue'
import { shortDay, windowWords, type Day } from '@/shared/dates'
import { standingWords } from '@/shared/standing'
import { inOurUnits } from '@/shared/units'
import type { Forecast } from './queries'

/** When each task is due: its window on one axis of days, and why. */
defineProps<{ forecasts: Forecast[]; today: Day }>()
const emit = defineEmits<{ adjust: [task: number] }>()

const BASIS: Record<Forecast['basis'], string> = {
  START: 'start',
  LEARNED: 'learned',
  FIXED: 'fixed',
  AGE: texts.byAge,
  WITH_OPENING: texts.withOpening,
  TAKEN_ON: texts.takenOn,
}
</script>

<template>
  <ul class="when">
    <li v-for="forecast in forecasts" :key="forecast.subject.taskId" :data-task="forecast.subject.taskId">
      <span class="name leading-1.25">
        <RouterLink
          class="task text-inherit"
          :to="{ name: 'task', params: { tank: forecast.subject.tankId, task: forecast.subject.taskId } }"
          >{{ forecast.subject.name }}</RouterLink
        >
        <span v-if="forecast.hold" class="small block"
          ><b class="hold text-plum"><span aria-hidden="true">▨&nbsp;</span>{{ texts.onHold }}</b
          ><template v-if="forecast.hold.likelyUntil">{{
            texts.likelyClear(shortDay(forecast.hold.likelyUntil))
          }}</template></span
        >
        <span v-else class="small quiet block">
          {{ windowWords(forecast.window) }}<template v-if="forecast.standing !== 'LATER'">, </template
          ><b v-if="forecast.standing !== 'LATER'" :class="forecast.standing.toLowerCase()">{{
            standingWords(forecast.standing, forecast.window, today)
          }}</b>
        </span>
      </span>
      <WindowLine
        :window="forecast.window"
        :standing="forecast.hold ? 'LATER' : forecast.standing"
        :today="today"
        :before="60"
        :after="420"
        :focus="20"
      />
      <span class="why small quiet leading-1.3 max-half:col-span-full">{{
        forecast.hold
          ? `${inOurUnits(forecast.hold.reason)} ${forecast.hold.clears}`
          : forecast.reasons.join(' ')
      }}</span>
      <el-button
        type="primary"
        text
        class="text-14px font-560"
        @click="emit('adjust', forecast.subject.taskId)"
      >
        {{ BASIS[forecast.basis]
        }}<span class="seen-by-readers">{{ texts.adjust(forecast.subject.name) }}</span>
      </el-button>
    </li>
  </ul>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(170px, 5fr) minmax(110px, 4fr) minmax(150px, 7fr) 92px;
  gap: 2px 16px;
  align-items: center;
  min-height: 46px;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}

.late {
  color: var(--brick);
}

.due {
  color: var(--amber);
}

.open {
  color: var(--herb);
}

@media (width <= 900px) {
  li {
    grid-template-columns: 1fr 92px;
    padding: 10px 0;
  }
}
</style>
