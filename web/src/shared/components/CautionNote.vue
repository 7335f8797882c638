<script setup lang="ts">
import { computed } from 'vue'

/** A caution in full; once it was told in this service, its first sentence, which unfolds. */
const props = defineProps<{ text: string; again: boolean }>()
const first = computed(() => /^.*?[.:](?=\s|$)/.exec(props.text)?.[0] ?? props.text)
const short = computed(() => props.again && first.value !== props.text)
</script>

<template>
  <details v-if="short" class="caution mt-2px mb-10px py-2px pl-12px edge-l-4-brick">
    <summary>{{ first }}</summary>
    {{ text.slice(first.length).trim() }}
  </details>
  <p v-else class="caution mt-2px mb-10px py-2px pl-12px edge-l-4-brick">{{ text }}</p>
</template>
