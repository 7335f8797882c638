<script setup lang="ts">
import { shortDay } from '@/shared/dates'
import type { CaseSummary } from './queries'
import { complaintWords, standingWords } from './words'

/** Cases, newest first, each with what came of it. */
defineProps<{
  cases: CaseSummary[]
  /** Names of tanks by id; none where all are of one tank. */
  tanks?: Map<number, string>
}>()
</script>

<template>
  <ul class="list-none">
    <li v-for="one in cases" :key="one.id">
      <RouterLink class="pt-6px" :to="{ name: 'case', params: { case: one.id } }">
        <b>{{ complaintWords(one.complaint) }}</b>
      </RouterLink>
      <span class="quiet small [grid-area:where] pb-6px">
        {{ tanks ? `${tanks.get(one.tankId) ?? ''}, ` : '' }}{{ one.filterName }} ·
        {{ shortDay(one.noticedOn) }}</span
      >
      <span
        class="state [grid-area:state] max-w-340px text-right max-phone:text-left"
        :class="one.standing.toLowerCase()"
        >{{ standingWords(one) }}</span
      >
    </li>
  </ul>
</template>

<style scoped>
li {
  display: grid;
  grid-template: 'what state' 'where state' / minmax(0, 1fr) minmax(0, auto);
  gap: 0 18px;
  align-items: center;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}

/* On a phone what became of it stands below. */
@media (width <= 640px) {
  li {
    grid-template: 'what' 'where' 'state' / minmax(0, 1fr);
    justify-items: start;
  }
}

.open,
.stopped {
  padding: 1px 8px;
  color: var(--amber);
  background: var(--amber-soft);
  font-weight: 680;
}

.stopped {
  color: var(--brick);
  background: var(--brick-soft);
}
</style>
