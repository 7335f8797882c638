<script setup lang="ts">
import { computed } from 'vue'
import type { Schemas } from '@/shared/api/client'
import type { Standing } from '@/shared/standing'
import { ABOVE, CELL, siltHeight, type Texture } from './picture'

/** One cell of a water path: its texture, the silt estimate, the notch at the service point, the stream through it. */
const props = defineProps<{ texture: Texture; loading?: Schemas['Loading']; state?: Standing | 'HELD' }>()

const STREAM = ABOVE + CELL * 0.14
const FLOOR = ABOVE + CELL
const low = computed(() => siltHeight(props.loading?.low ?? 0))
const high = computed(() => siltHeight(props.loading?.high ?? 0))
const notch = computed(() => FLOOR - siltHeight(props.loading?.servicePoint ?? 0))
const bypass = computed(() => (props.loading?.likely ?? 0) >= 1)
const patterned = computed(() => !['propeller', 'lamp', 'ring', 'none'].includes(props.texture))
</script>

<template>
  <svg class="cell" :class="state?.toLowerCase()" width="100%" :height="FLOOR + 2" aria-hidden="true">
    <rect class="ground" x="1" :y="ABOVE" :height="CELL" rx="4" />
    <template v-if="loading">
      <rect fill="url(#silt-stipple)" x="1" :y="FLOOR - high" :height="high" rx="3" />
      <rect class="silt" x="1" :y="FLOOR - low" :height="low" rx="3" />
    </template>
    <rect v-if="patterned" :fill="`url(#tx-${texture})`" x="2" :y="ABOVE + 1" :height="CELL - 2" />
    <svg v-else x="50%" :y="ABOVE + CELL / 2" overflow="visible" class="device">
      <g v-if="texture === 'propeller'">
        <ellipse
          v-for="turn in [0, 120, 240]"
          :key="turn"
          cx="0"
          cy="-12"
          rx="5.5"
          ry="11"
          :transform="`rotate(${turn})`"
        />
        <circle class="hub" r="3.2" />
      </g>
      <g v-else-if="texture === 'lamp'">
        <rect x="-10" y="-46" width="20" height="92" rx="10" />
        <path class="glow" d="M0-38v76" />
      </g>
      <g v-else-if="texture === 'ring'">
        <circle r="20" />
        <circle r="14" />
      </g>
    </svg>
    <template v-if="loading">
      <line class="notch-line" x1="8" x2="100%" :y1="notch" :y2="notch" />
      <path class="notch" :d="`M1 ${notch - 5}l7 5-7 5z`" />
    </template>
    <rect class="rim" x="1" :y="ABOVE" :height="CELL" rx="4" />
    <svg v-if="bypass" width="100%" :height="STREAM + 4" viewBox="0 0 100 36" preserveAspectRatio="none">
      <path class="stream over" d="M0 33C8 33 6 4 22 4H78C94 4 92 33 100 33" />
    </svg>
    <line v-else class="stream" x1="0" x2="100%" :y1="STREAM" :y2="STREAM" />
  </svg>
</template>

<style scoped>
.cell {
  display: block;
}

rect {
  width: calc(100% - 2px);
}

.ground {
  fill: var(--cell);
}

.silt {
  fill: var(--silt);
}

.device rect {
  width: 20px;
}

.device {
  fill: none;
  stroke: var(--ink-quiet);
}

.hub {
  fill: var(--ink-quiet);
}

.glow {
  stroke: var(--plum);
  stroke-width: 5;
  stroke-linecap: round;
}

.notch {
  fill: var(--ink);
}

.notch-line {
  stroke: var(--ink);
  stroke-dasharray: 1 3;
}

.rim {
  fill: none;
  stroke: var(--line);
  stroke-width: 1.3;
}

.due .rim {
  stroke: var(--amber);
  stroke-width: 2.6;
}

.held .rim {
  stroke: var(--plum);
  stroke-dasharray: 6 4;
}

.late .rim {
  stroke: var(--brick);
  stroke-width: 2.6;
}

.stream {
  fill: none;
  stroke: var(--stream);
  stroke-width: 3;
  stroke-opacity: 0.75;
  vector-effect: non-scaling-stroke;
}
</style>
