<script setup lang="ts">
import { texts } from '../texts'
import { wordsOf } from '../problem'

/** Stands in for content that is loading or failed; shows the content itself otherwise. */
defineProps<{ pending: boolean; error: unknown; what: string }>()
const emit = defineEmits<{ retry: [] }>()
</script>

<template>
  <p v-if="pending" class="wait quiet py-30px" role="status">{{ texts.loading(what) }}</p>
  <div
    v-else-if="error"
    class="flex flex-wrap gap-3 items-center py-3 px-18px my-3 edge-l-5-brick bg-brick-soft"
    role="alert"
  >
    <p>
      <strong>{{ texts.couldNotLoad(what) }}</strong> {{ wordsOf(error) }}
    </p>
    <el-button @click="emit('retry')">{{ texts.tryAgain }}</el-button>
  </div>
  <slot v-else />
</template>
