<script setup lang="ts">
import { texts } from './texts'
/** A case that was given up. */
defineProps<{ sending: boolean }>()
const emit = defineEmits<{ resume: [] }>()
</script>

<template>
  <section>
    <h2 class="mb-6px">{{ texts.givenUp }}</h2>
    <p class="mb-3">{{ texts.nothingWasFoundThe }}</p>
    <el-button type="primary" :loading="sending" @click="emit('resume')">{{ texts.goOnWithIt }}</el-button>
  </section>
</template>
