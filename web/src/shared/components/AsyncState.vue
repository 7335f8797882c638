<script setup lang="ts">
import { wordsOf } from '../problem'

/** Stands in for content that is loading or failed; shows the content itself otherwise. */
defineProps<{ pending: boolean; error: unknown; what: string }>()
const emit = defineEmits<{ retry: [] }>()
</script>

<template>
  <p v-if="pending" class="wait quiet py-30px" role="status">Loading {{ what }} …</p>
  <div
    v-else-if="error"
    class="flex flex-wrap gap-3 items-center py-3 px-18px my-3 edge-l-5-brick bg-brick-soft"
    role="alert"
  >
    <p>
      <strong>Could not load {{ what }}.</strong> {{ wordsOf(error) }}
    </p>
    <el-button @click="emit('retry')">Try again</el-button>
  </div>
  <slot v-else />
</template>
