<script setup lang="ts">
import { texts } from './texts'
import { wordsOf } from '@/shared/problem'

/** What stands between this page and the server. */
defineProps<{ reachable: boolean; failure: unknown; trouble: string }>()
const emit = defineEmits<{ drop: [] }>()
</script>

<template>
  <p v-if="!reachable" class="my-2 note-amber" role="status">
    {{ texts.noConnectionTheCase }}
  </p>
  <p v-if="failure" class="my-2 note-amber" role="alert">
    {{ wordsOf(failure) }}
    <el-button text type="primary" @click="emit('drop')">{{ texts.dropWhatWasNot }}</el-button>
  </p>
  <p v-if="trouble" class="my-2 note-amber" role="alert">{{ trouble }}</p>
</template>
