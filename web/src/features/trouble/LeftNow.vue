<script setup lang="ts">
/** A case that was given up. */
defineProps<{ sending: boolean }>()
const emit = defineEmits<{ resume: [] }>()
</script>

<template>
  <section>
    <h2 class="mb-6px">Given up</h2>
    <p class="mb-3">Nothing was found. The flow measured meanwhile is left out of learning.</p>
    <el-button type="primary" :loading="sending" @click="emit('resume')">Go on with it</el-button>
  </section>
</template>
