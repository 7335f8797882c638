<script setup lang="ts">
/** A pad of 36 pores, for the inside of a drawing 100 wide and high. */
defineProps<{
  /** Pores shut, 0 to 36. */
  shut: number
  /** How brown the pad is, 0 to 1. */
  haze: number
  /** Whether water goes round it. */
  around: boolean
}>()

const SIDE = 6
/** Pores in a fixed scattered order, so that a dirtier pad keeps those shut in a cleaner one. */
const PORES = Array.from({ length: SIDE * SIDE }, (_, i) => ({
  x: 16 + (i % SIDE) * 13.6,
  y: 16 + Math.floor(i / SIDE) * 13.6,
  order: (i * 23 + 7) % (SIDE * SIDE),
}))
</script>

<template>
  <g>
    <g :transform="around ? 'translate(0 8)' : ''">
      <rect class="pad fill-cell" x="6" y="6" width="88" height="84" rx="8" />
      <rect class="dirt" x="6" y="6" width="88" height="84" rx="8" :fill-opacity="haze" />
      <circle
        v-for="pore in PORES"
        :key="pore.order"
        :class="pore.order < shut ? 'shut' : 'pore'"
        :cx="pore.x"
        :cy="pore.y"
        r="4.6"
      />
      <rect class="fill-none stroke-line stroke-width-1.5" x="6" y="6" width="88" height="84" rx="8" />
    </g>
    <path
      v-if="around"
      class="round fill-none stroke-stream stroke-width-5 stroke-cap-round"
      d="M1 22C22-2 78-2 99 22"
    />
  </g>
</template>

<style scoped>
.dirt,
.shut {
  fill: var(--silt);
}

.pore {
  fill: var(--cell);
  stroke: var(--ink-quiet);
  stroke-opacity: 0.5;
}
</style>
