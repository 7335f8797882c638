<script setup lang="ts">
import { texts } from './texts'
/** A page for others: said in its place, so that nobody wonders where they are. */
defineProps<{ needs: 'KEEPER' | 'HELPER' }>()
</script>

<template>
  <main class="page narrow">
    <h1>{{ needs === 'KEEPER' ? texts.thisIsForKeepers : texts.thisIsForKeepersAnd }}</h1>
    <p class="quiet">
      {{ texts.aKeeperCanChange(needs === 'KEEPER' ? texts.onlyAKeeperChanges : texts.youCanLookAt) }}
    </p>
    <p>
      <RouterLink :to="{ name: 'rounds' }">{{ texts.goToRounds }}</RouterLink>
    </p>
  </main>
</template>
