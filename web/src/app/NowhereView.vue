<script setup lang="ts">
import { texts } from './texts'
/** A path that leads nowhere. */
</script>

<template>
  <main class="page narrow">
    <h1>{{ texts.thereIsNothingHere }}</h1>
    <p class="quiet">{{ texts.theAddressMayBe }}</p>
    <p>
      <RouterLink :to="{ name: 'rounds' }">{{ texts.goToRounds }}</RouterLink>
    </p>
  </main>
</template>
