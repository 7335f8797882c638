<script setup lang="ts">
import { computed, ref } from 'vue'
import { lowerFirst } from '@/shared/words'
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
  if (shifted) parts.push(`moved ${String(shifted)}`)
  if (gone) parts.push(`left out ${String(gone)}`)
  return parts.join(', ')
}
</script>

<template>
  <section class="news" aria-label="About this plan">
    <p v-if="plan.timeAssumed" class="note">
      Nobody’s days are known yet; an hour a day is taken.
      <RouterLink :to="{ name: 'plan-time' }">Say your days</RouterLink>
    </p>
    <p v-if="plan.improving" class="note" role="status">A better plan is being looked for.</p>
    <template v-if="plan.troubles.length">
      <h2>Does not fit</h2>
      <ul>
        <li v-for="trouble in troubles" :key="trouble.words" class="trouble">
          {{ trouble.words }} <span v-if="trouble.risk" class="small quiet">{{ trouble.risk }}</span>
        </li>
      </ul>
      <button v-if="plan.troubles.length > FEW" class="button plain" type="button" @click="all = !all">
        {{ all ? 'Show fewer' : `Show all ${plan.troubles.length}` }}
      </button>
    </template>
    <p v-else class="fits"><b>Everything fits.</b> No day is over, no task past its latest day.</p>
    <template v-if="plan.waiting.length">
      <h2>Waits for a hold</h2>
      <ul>
        <li v-for="one in plan.waiting" :key="`${one.tankId} ${one.name} ${one.filter}`">
          {{ one.tank }}: {{ lowerFirst(one.name) }}. <span class="small quiet">{{ one.hold.clears }}</span>
        </li>
      </ul>
    </template>
    <template v-for="closure in plan.closures" :key="closure.firstDay">
      <h2>Nobody from {{ shortDay(closure.firstDay) }} to {{ shortDay(closure.lastDay) }}</h2>
      <details>
        <summary>{{ closure.before.length }} done before, {{ closure.after.length }} wait</summary>
        <ul class="small">
          <li v-for="one in [...closure.before, ...closure.after]" :key="one.tank + one.name + one.ideal">
            {{ one.tank }}: {{ lowerFirst(one.name) }} on {{ day(one.on) }} instead of
            {{ shortDay(one.ideal) }}
          </li>
        </ul>
      </details>
    </template>
    <h2>How it moved</h2>
    <p v-if="plan.changes.length === 0" class="quiet">It has not moved since it was made.</p>
    <details v-for="change in plan.changes" :key="change.at" class="change">
      <summary>
        {{ shortDay(change.at.slice(0, 10)) }}: {{ moved(change.moves) }}, because
        {{ change.causes.join(', ') }}
      </summary>
      <ul class="small">
        <li v-for="move in change.moves" :key="move.tank + move.name + (move.from ?? '')">
          {{ move.tank }}: {{ move.name }},
          {{
            move.to
              ? `${move.from ? day(move.from) : 'new'} to ${day(move.to)}`
              : `was ${day(move.from ?? '')}`
          }}
        </li>
      </ul>
    </details>
  </section>
</template>

<style scoped>
h2 {
  margin: 16px 0 4px;
  font-size: 16px;
}

h2:first-child {
  margin-top: 0;
}

li {
  padding: 4px 0;
}

.trouble {
  padding-left: 10px;
  border-left: 3px solid var(--brick);
  margin-bottom: 4px;
}

.note {
  padding: 8px 10px;
  background: var(--amber-soft);
}

.change {
  padding: 4px 0;
}

summary {
  cursor: pointer;
}
</style>
