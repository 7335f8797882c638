<script setup lang="ts">
import { texts } from './texts'
import { wordsOf } from '@/shared/problem'

/** What stands between this page and the server. */
defineProps<{ reachable: boolean; failure: unknown; trouble: string }>()
const emit = defineEmits<{ drop: [] }>()
</script>

<template>
  <p v-if="!reachable" class="my-2 py-2 px-3 edge-l-5-amber bg-amber-soft" role="status">
    {{ texts.noConnectionTheCase }}
  </p>
  <p v-if="failure" class="my-2 py-2 px-3 edge-l-5-amber bg-amber-soft" role="alert">
    {{ wordsOf(failure) }}
    <el-button text type="primary" @click="emit('drop')">{{ texts.dropWhatWasNot }}</el-button>
  </p>
  <p v-if="trouble" class="my-2 py-2 px-3 edge-l-5-amber bg-amber-soft" role="alert">{{ trouble }}</p>
</template>
