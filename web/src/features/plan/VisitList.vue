<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import WindowLine from '@/shared/components/WindowLine.vue'
import { longDay } from '@/shared/dates'
import { counted } from '@/shared/words'
import type { Plan, PlannedTask, PlannedVisit } from './queries'

/** The plan as a list of days, each task with its window. */
const props = defineProps<{ plan: Plan; chosen?: string }>()
const emit = defineEmits<{ choose: [visit: PlannedVisit] }>()

const days = computed(() => {
  const grouped = new Map<string, PlannedVisit[]>()
  for (const visit of props.plan.visits) grouped.set(visit.on, [...(grouped.get(visit.on) ?? []), visit])
  return grouped
})
const standing = (task: PlannedTask) => (task.daysLate > 0 ? ('LATE' as const) : ('OPEN' as const))
</script>

<template>
  <div>
    <section v-for="[day, visits] in days" :key="day" class="py-10px edge-t-line" :aria-label="longDay(day)">
      <h3>{{ longDay(day) }}</h3>
      <article
        v-for="visit in visits"
        :key="visit.id"
        class="grid cols-[220px_1] gap-12px py-1 px-6px"
        :class="{ chosen: visit.id === chosen }"
      >
        <p class="grid justify-items-start">
          <el-button class="pl-0" type="primary" text @click="emit('choose', visit)">{{
            visit.tank
          }}</el-button>
          <span class="small quiet"
            >{{ visit.person ?? texts.nobodyHasTime }}, <span class="num">{{ visit.minutes }}</span>
            {{ texts.min5 }}</span
          >
        </p>
        <ul>
          <li v-for="task in visit.tasks" :key="task.chain" class="grid cols-[1_200px] gap-12px items-center">
            <span>
              {{ task.name }}
              <span v-if="task.daysLate > 0" class="late small text-brick">{{
                texts.overdue(counted(task.daysLate, 'day'))
              }}</span>
              <span v-if="task.pinned" class="small quiet">{{ texts.pinned }}</span>
            </span>
            <WindowLine
              :window="task.window"
              :standing="standing(task)"
              :today="visit.on"
              :before="16"
              :after="16"
              :focus="8"
            />
          </li>
        </ul>
      </article>
    </section>
  </div>
</template>

<style scoped>
.chosen {
  background: var(--herb-soft);
}
</style>
