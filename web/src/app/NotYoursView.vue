<script setup lang="ts">
/** A page for others: said in its place, so that nobody wonders where they are. */
defineProps<{ needs: 'KEEPER' | 'HELPER' }>()
</script>

<template>
  <main class="page narrow">
    <h1>{{ needs === 'KEEPER' ? 'This is for keepers' : 'This is for keepers and helpers' }}</h1>
    <p class="quiet">
      {{
        needs === 'KEEPER' ? 'Only a keeper changes this.' : 'You can look at everything, but not change it.'
      }}
      A keeper can change what you may do, under People.
    </p>
    <p><RouterLink :to="{ name: 'rounds' }">Go to Rounds</RouterLink></p>
  </main>
</template>
