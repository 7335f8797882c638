<script setup lang="ts">
/** A path that leads nowhere. */
</script>

<template>
  <main class="page narrow">
    <h1>There is nothing here</h1>
    <p class="quiet">The address may be mistyped, or what it named is gone.</p>
    <p><RouterLink :to="{ name: 'rounds' }">Go to Rounds</RouterLink></p>
  </main>
</template>
