<script setup lang="ts">
import type { Told } from './words'

/** What came in, or would, kind by kind. */
defineProps<{ counts: Told[] }>()
</script>

<template>
  <ul class="counts">
    <li v-for="one in counts" :key="one.what">
      <b class="num">{{ one.brought }}</b> {{ one.words
      }}<span v-if="one.there" class="quiet">, {{ one.there }} here already</span>
    </li>
  </ul>
</template>

<style scoped>
.counts {
  padding: 0;
  margin: 8px 0 14px;
}

li {
  padding: 4px 0;
  list-style: none;
}
</style>
