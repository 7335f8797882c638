<script setup lang="ts">
import { computed } from 'vue'
import { encode } from 'uqr'

/** A text as a square code, for a phone's camera. */
const props = defineProps<{ text: string; label: string }>()

const code = computed(() => encode(props.text, { border: 2 }))
const path = computed(() =>
  code.value.data
    .flatMap((row, y) => row.map((dark, x) => (dark ? `M${String(x)} ${String(y)}h1v1h-1z` : '')))
    .join(''),
)
</script>

<template>
  <svg
    class="square w-200px [background:#fff]"
    :viewBox="`0 0 ${String(code.size)} ${String(code.size)}`"
    role="img"
    :aria-label="label"
  >
    <path class="[fill:#000]" :d="path" />
  </svg>
</template>
