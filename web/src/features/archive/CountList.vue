<script setup lang="ts">
import { texts } from './texts'
import type { Told } from './words'

/** What came in, or would, kind by kind. */
defineProps<{ counts: Told[] }>()
</script>

<template>
  <ul class="mt-2 mb-3">
    <li v-for="one in counts" :key="one.what" class="py-1 list-none">
      <template v-if="one.brought">
        <b class="num">{{ one.brought }}</b> {{ one.words
        }}<span v-if="one.there" class="quiet">{{ texts.hereAlready(one.there) }}</span>
      </template>
      <span v-else class="quiet">{{ texts.hereAlready2(one.there, one.words) }}</span>
    </li>
  </ul>
</template>
