<script setup lang="ts">
import { texts } from './texts'
import { useTanks } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'

/** At the tank: which tank was worked on. */
const tanks = useTanks()
</script>

<template>
  <main class="page narrow">
    <h1>{{ texts.logAService }}</h1>
    <p class="quiet">{{ texts.onWhichTank }}</p>
    <AsyncState
      :pending="tanks.isPending.value"
      :error="lacking(tanks)"
      :what="texts.yourTanks"
      @retry="tanks.refetch()"
    >
      <p v-if="tanks.data.value?.length === 0">
        {{ texts.thereIsNoTank }} <RouterLink :to="{ name: 'new-tank' }">{{ texts.addTheFirst }}</RouterLink>
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
