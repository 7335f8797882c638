<script setup lang="ts">
import { wordsOf } from '@/shared/problem'

/** What stands between this page and the server. */
defineProps<{ reachable: boolean; failure: unknown; trouble: string }>()
const emit = defineEmits<{ drop: [] }>()
</script>

<template>
  <p v-if="!reachable" class="note" role="status">
    No connection. The case goes on here, and what you answer is sent later.
  </p>
  <p v-if="failure" class="note" role="alert">
    {{ wordsOf(failure) }}
    <el-button text type="primary" @click="emit('drop')">Drop what was not sent</el-button>
  </p>
  <p v-if="trouble" class="note" role="alert">{{ trouble }}</p>
</template>

<style scoped>
.note {
  margin: 8px 0;
  padding: 8px 14px;
  border-left: 5px solid var(--amber);
  background: var(--amber-soft);
}
</style>
