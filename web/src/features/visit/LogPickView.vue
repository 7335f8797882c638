<script setup lang="ts">
import { useTanks } from '@/features/tank'
import AsyncState from '@/shared/components/AsyncState.vue'

/** At the tank: which tank was worked on. */
const tanks = useTanks()
</script>

<template>
  <main class="page narrow">
    <h1>Log a service</h1>
    <p class="quiet">On which tank?</p>
    <AsyncState
      :pending="tanks.isPending.value"
      :error="tanks.error.value"
      what="your tanks"
      @retry="tanks.refetch()"
    >
      <p v-if="tanks.data.value?.length === 0">
        There is no tank yet. <RouterLink :to="{ name: 'new-tank' }">Add the first</RouterLink>
      </p>
      <ul>
        <li v-for="tank in tanks.data.value" :key="tank.id">
          <RouterLink
            class="flex gap-12px items-center min-h-56px edge-b-hair text-18px"
            :to="{ name: 'log', params: { tank: tank.id } }"
          >
            {{ tank.tank.name }} <span class="quiet small">{{ tank.tank.room }}</span>
          </RouterLink>
        </li>
      </ul>
    </AsyncState>
  </main>
</template>
