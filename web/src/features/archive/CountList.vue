<script setup lang="ts">
import type { Told } from './words'

/** What came in, or would, kind by kind. */
defineProps<{ counts: Told[] }>()
</script>

<template>
  <ul class="counts">
    <li v-for="one in counts" :key="one.what">
      <template v-if="one.brought">
        <b class="num">{{ one.brought }}</b> {{ one.words
        }}<span v-if="one.there" class="quiet">, {{ one.there }} here already</span>
      </template>
      <span v-else class="quiet">{{ one.there }} {{ one.words }} here already</span>
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
