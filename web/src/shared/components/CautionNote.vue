<script setup lang="ts">
import { computed } from 'vue'

/** A caution in full; once it was told in this service, its first sentence, which unfolds. */
const props = defineProps<{ text: string; again: boolean }>()
const first = computed(() => /^.*?[.:](?=\s|$)/.exec(props.text)?.[0] ?? props.text)
const short = computed(() => props.again && first.value !== props.text)
</script>

<template>
  <details v-if="short" class="caution">
    <summary>{{ first }}</summary>
    {{ text.slice(first.length).trim() }}
  </details>
  <p v-else class="caution">{{ text }}</p>
</template>

<style scoped>
.caution {
  margin: 2px 0 10px;
  padding: 2px 0 2px 12px;
  border-left: 4px solid var(--brick);
}
</style>
