<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { useTanks } from '@/features/tank'
import CaseList from './CaseList.vue'
import { useCases } from './queries'

/** On the rounds: cases that somebody began and nobody ended. */
const cases = useCases()
const tanks = useTanks()

const names = computed(() => new Map((tanks.data.value ?? []).map(({ id, tank }) => [id, tank.name])))
const open = computed(() =>
  (cases.data.value ?? []).filter(({ standing }) => standing === 'OPEN' || standing === 'STOPPED'),
)
</script>

<template>
  <section v-if="open.length" aria-labelledby="open-cases">
    <h2 id="open-cases" class="mt-18px">{{ texts.beingLookedInto }}</h2>
    <CaseList :cases="open" :tanks="names" />
  </section>
</template>
