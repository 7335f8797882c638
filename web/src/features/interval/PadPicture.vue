<script setup lang="ts">
import { computed } from 'vue'
import { padAt } from './picture'

/** A pad at any loading, drawn as the five tiles are. */
const props = defineProps<{ loading: number; label: string }>()

const SIDE = 6
const pad = computed(() => padAt(props.loading))
const pores = Array.from({ length: SIDE * SIDE }, (_, i) => ({
  x: 16 + (i % SIDE) * 13.6,
  y: 16 + Math.floor(i / SIDE) * 13.6,
  order: (i * 23 + 7) % (SIDE * SIDE),
}))
</script>

<template>
  <svg viewBox="0 0 100 100" role="img" :aria-label="label">
    <g :transform="pad.around ? 'translate(0 8)' : ''">
      <rect class="pad" x="6" y="6" width="88" height="84" rx="8" />
      <rect class="dirt" x="6" y="6" width="88" height="84" rx="8" :fill-opacity="pad.haze" />
      <circle
        v-for="pore in pores"
        :key="pore.order"
        :class="pore.order < pad.shut ? 'shut' : 'pore'"
        :cx="pore.x"
        :cy="pore.y"
        r="4.6"
      />
      <rect class="rim" x="6" y="6" width="88" height="84" rx="8" />
    </g>
    <path v-if="pad.around" class="round" d="M1 22C22-2 78-2 99 22" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: min(260px, 60vw);
}

.pad {
  fill: var(--cell);
}

.dirt,
.shut {
  fill: var(--silt);
}

.pore {
  fill: var(--cell);
  stroke: var(--ink-quiet);
  stroke-opacity: 0.5;
}

.rim {
  fill: none;
  stroke: var(--line);
  stroke-width: 1.5;
}

.round {
  fill: none;
  stroke: var(--stream);
  stroke-width: 5;
}
</style>
