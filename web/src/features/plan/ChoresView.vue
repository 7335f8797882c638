<script setup lang="ts">
import { texts } from './texts'
import { useTank } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import ChoreRow from './ChoreRow.vue'
import { useChores } from './queries'

/** Both postures: work on the tank itself, how often it comes round, and that it was done. */
const props = defineProps<{ tank: number }>()

const tank = useTank(() => props.tank)
const chores = useChores(() => props.tank)
</script>

<template>
  <main class="page narrow">
    <h1>
      {{ texts.chores }}<span v-if="tank.data.value">, {{ tank.data.value.tank.name }}</span>
    </h1>
    <p class="quiet">
      {{ texts.workOnTheTank }}
      <RouterLink :to="{ name: 'tank', params: { tank: props.tank } }">{{ texts.backToTheTank }}</RouterLink>
    </p>
    <AsyncState
      :pending="chores.isPending.value"
      :error="lacking(chores)"
      :what="texts.theChores"
      @retry="chores.refetch()"
    >
      <ChoreRow v-for="chore in chores.data.value" :key="chore.kind" :tank="props.tank" :chore="chore" />
    </AsyncState>
  </main>
</template>
