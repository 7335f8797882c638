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
  <ul>
    <li v-for="one in cases" :key="one.id">
      <RouterLink :to="{ name: 'case', params: { case: one.id } }">
        <b>{{ complaintWords(one.complaint) }}</b>
      </RouterLink>
      <span class="quiet">
        {{ tanks ? `${tanks.get(one.tankId) ?? ''}, ` : '' }}{{ one.filterName }} ·
        {{ shortDay(one.noticedOn) }}</span
      >
      <span class="state" :class="one.standing.toLowerCase()">{{ standingWords(one) }}</span>
    </li>
  </ul>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: center;
  min-height: 48px;
  border-bottom: 1px solid var(--hair);
}

a {
  padding: 10px 0;
}

.state {
  margin-left: auto;
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
