<script setup lang="ts">
import { texts } from './texts'
/** Large keys for a wet hand; they type into the value that is chosen. */
const emit = defineEmits<{ key: [key: string]; next: [] }>()

const KEYS = ['7', '8', '9', 'back', '4', '5', '6', '<', '1', '2', '3', '.', '0']
const SPOKEN: Record<string, string> = { '.': 'point', '<': texts.belowDetection, back: 'erase' }
</script>

<template>
  <div class="pad grid cols-[repeat(4,1fr)] gap-6px" role="group" :aria-label="texts.keypad">
    <button
      v-for="key in KEYS"
      :key="key"
      type="button"
      class="key num"
      :aria-label="SPOKEN[key] ?? key"
      @pointerdown.prevent
      @click="emit('key', key)"
    >
      {{ key === 'back' ? '⌫' : key }}
    </button>
    <button type="button" class="key next" @pointerdown.prevent @click="emit('next')">
      {{ texts.next }}
    </button>
  </div>
</template>

<style scoped>
.key {
  min-height: 50px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--surface);
  color: var(--ink);
  font-size: 22px;
}

.next {
  grid-column: span 3;
  font: 680 18px/1.2 var(--text);
}

.next {
  border-color: var(--herb);
  color: var(--herb);
}
</style>
