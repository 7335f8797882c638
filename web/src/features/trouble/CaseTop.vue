<script setup lang="ts">
import { texts } from './texts'
import { shortDay } from '@/shared/dates'
import type { Case } from './queries'
import { complaintWords, standingWords } from './words'

/** Whose case it is, and what the same complaint came from before. */
defineProps<{ view: Case; tank: string }>()
</script>

<template>
  <p class="small quiet">
    <RouterLink :to="{ name: 'tank', params: { tank: view.summary.tankId } }">{{ tank }}</RouterLink>
    {{ texts.noticed(view.summary.filterName, shortDay(view.summary.noticedOn)) }}
  </p>
  <h1>{{ complaintWords(view.summary.complaint) }}</h1>
  <p v-for="one in view.before.slice(0, 2)" :key="one.id" class="small quiet">
    {{ texts.sameComplaintBefore }}
    <RouterLink :to="{ name: 'case', params: { case: one.id } }">{{ standingWords(one) }}</RouterLink>
  </p>
</template>
