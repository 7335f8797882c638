<script setup lang="ts">
import { wordsOf } from '../problem'

/** Stands in for content that is loading or failed; shows the content itself otherwise. */
defineProps<{ pending: boolean; error: unknown; what: string }>()
const emit = defineEmits<{ retry: [] }>()
</script>

<template>
  <p v-if="pending" class="wait quiet" role="status">Loading {{ what }} …</p>
  <div v-else-if="error" class="failed" role="alert">
    <p>
      <strong>Could not load {{ what }}.</strong> {{ wordsOf(error) }}
    </p>
    <el-button @click="emit('retry')">Try again</el-button>
  </div>
  <slot v-else />
</template>

<style scoped>
.wait {
  padding: 30px 0;
}

.failed {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: center;
  padding: 14px 18px;
  margin: 14px 0;
  border-left: 5px solid var(--brick);
  background: var(--brick-soft);
}
</style>
