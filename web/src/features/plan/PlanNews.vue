<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { counted, lowerFirst } from '@/shared/words'
import { shortDay, weekday } from '@/shared/dates'
import type { Plan } from './queries'

/** What cannot be had, what waits, what lies around a closure, and how the plan moved lately. */
const props = defineProps<{ plan: Plan }>()

const FEW = 4
const all = ref(false)
const troubles = computed(() => (all.value ? props.plan.troubles : props.plan.troubles.slice(0, FEW)))
const day = (on: string) => `${weekday(on)} ${shortDay(on)}`
const moved = (moves: Plan['changes'][number]['moves']) => {
  const gone = moves.filter((move) => move.to === undefined).length
  const shifted = moves.length - gone
  const parts = []
  if (shifted) parts.push(texts.moved(counted(shifted, 'job')))
  if (gone) parts.push(texts.leftOut(counted(gone, 'job')))
  return parts.join(', ')
}
</script>

<template>
  <section class="news" :aria-label="texts.aboutThisPlan">
    <p v-if="plan.timeAssumed" class="py-2 px-10px bg-amber-soft">
      {{ texts.noWorkingHoursSet }}
      <RouterLink :to="{ name: 'plan-time' }">{{ texts.setYourHours }}</RouterLink>
    </p>
    <p v-if="plan.improving" class="py-2 px-10px bg-amber-soft" role="status">
      {{ texts.lookingForABetter }}
    </p>
    <template v-if="plan.troubles.length">
      <h2 class="mt-16px mb-1 mx-0 text-16px first:mt-0">{{ texts.problems }}</h2>
      <ul>
        <li
          v-for="trouble in troubles"
          :key="trouble.words"
          class="trouble py-1 px-0 pl-10px edge-l-3-brick mb-1"
        >
          {{ trouble.words }} <span v-if="trouble.risk" class="small quiet">{{ trouble.risk }}</span>
        </li>
      </ul>
      <el-button v-if="plan.troubles.length > FEW" type="primary" text @click="all = !all">
        {{ all ? texts.showFewer : texts.showAll(plan.troubles.length) }}
      </el-button>
    </template>
    <p v-else class="fits">
      <b>{{ texts.noProblems }}</b> {{ texts.everyDayHasRoom }}
    </p>
    <template v-if="plan.waiting.length">
      <h2 class="mt-16px mb-1 mx-0 text-16px first:mt-0">{{ texts.onHold }}</h2>
      <ul>
        <li v-for="one in plan.waiting" :key="`${one.tankId} ${one.name} ${one.filter}`" class="py-1">
          {{ one.tank }}: {{ lowerFirst(one.name) }}. <span class="small quiet">{{ one.hold.clears }}</span>
        </li>
      </ul>
    </template>
    <template v-for="closure in plan.closures" :key="closure.firstDay">
      <h2 class="mt-16px mb-1 mx-0 text-16px first:mt-0">
        {{ texts.nobodyFromTo(shortDay(closure.firstDay), shortDay(closure.lastDay)) }}
      </h2>
      <details>
        <summary class="cursor-pointer">
          {{ texts.doneBeforeWait(closure.before.length, closure.after.length) }}
        </summary>
        <ul class="small">
          <li
            v-for="one in [...closure.before, ...closure.after]"
            :key="one.tank + one.name + one.ideal"
            class="py-1"
          >
            {{ texts.onInsteadOf(one.tank, lowerFirst(one.name), day(one.on), shortDay(one.ideal)) }}
          </li>
        </ul>
      </details>
    </template>
    <h2 class="mt-16px mb-1 mx-0 text-16px first:mt-0">{{ texts.whatChanged }}</h2>
    <p v-if="plan.changes.length === 0" class="quiet">{{ texts.nothingHasChangedSince }}</p>
    <details v-for="change in plan.changes" :key="change.at" class="change py-1">
      <summary class="cursor-pointer">
        {{ shortDay(change.at.slice(0, 10)) }}: {{ moved(change.moves) }} ({{ change.causes.join(', ') }})
      </summary>
      <ul class="small">
        <li v-for="move in change.moves" :key="move.tank + move.name + (move.from ?? '')" class="py-1">
          {{ move.tank }}: {{ move.name }},
          {{
            move.to
              ? texts.to2(move.from ? day(move.from) : texts.new, day(move.to))
              : texts.was(day(move.from ?? ''))
          }}
        </li>
      </ul>
    </details>
  </section>
</template>
