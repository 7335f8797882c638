<script setup lang="ts">
import { computed } from 'vue'
import PorePad from '@/shared/components/PorePad.vue'
import { padAt } from './picture'

/** A pad at any loading, drawn as the five tiles are. */
const props = defineProps<{ loading: number; label: string }>()

const pad = computed(() => padAt(props.loading))
</script>

<template>
  <svg class="block w-[min(260px,60vw)]" viewBox="0 0 100 100" role="img" :aria-label="label">
    <PorePad v-bind="pad" />
  </svg>
</template>
