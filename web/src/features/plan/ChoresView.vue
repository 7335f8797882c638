<script setup lang="ts">
import { useTank } from '@/features/tank'
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
      Chores<span v-if="tank.data.value">, {{ tank.data.value.tank.name }}</span>
    </h1>
    <p class="quiet">
      Work on the tank itself. What you plan here goes into the plan with everything else.
      <RouterLink :to="{ name: 'tank', params: { tank: props.tank } }">Back to the tank</RouterLink>
    </p>
    <AsyncState
      :pending="chores.isPending.value"
      :error="chores.error.value"
      what="the chores"
      @retry="chores.refetch()"
    >
      <ChoreRow v-for="chore in chores.data.value" :key="chore.kind" :tank="props.tank" :chore="chore" />
    </AsyncState>
  </main>
</template>
