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
  <svg class="cell block" :class="state?.toLowerCase()" width="100%" :height="FLOOR + 2" aria-hidden="true">
    <rect class="w-[calc(100%_-_2px)] fill-cell" x="1" :y="ABOVE" :height="CELL" rx="4" />
    <template v-if="loading">
      <rect
        class="w-[calc(100%_-_2px)]"
        fill="url(#silt-stipple)"
        x="1"
        :y="FLOOR - high"
        :height="high"
        rx="3"
      />
      <rect class="silt w-[calc(100%_-_2px)] fill-silt" x="1" :y="FLOOR - low" :height="low" rx="3" />
    </template>
    <rect
      v-if="patterned"
      class="w-[calc(100%_-_2px)]"
      :fill="`url(#tx-${texture})`"
      x="2"
      :y="ABOVE + 1"
      :height="CELL - 2"
    />
    <svg v-else x="50%" :y="ABOVE + CELL / 2" overflow="visible" class="fill-none stroke-ink-quiet">
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
        <circle class="fill-ink-quiet" r="3.2" />
      </g>
      <g v-else-if="texture === 'lamp'">
        <rect class="w-20px" x="-10" y="-46" width="20" height="92" rx="10" />
        <path class="stroke-plum stroke-width-5 stroke-cap-round" d="M0-38v76" />
      </g>
      <g v-else-if="texture === 'ring'">
        <circle r="20" />
        <circle r="14" />
      </g>
    </svg>
    <template v-if="loading">
      <line class="stroke-ink stroke-dash-1_3" x1="8" x2="100%" :y1="notch" :y2="notch" />
      <path class="fill-ink" :d="`M1 ${notch - 5}l7 5-7 5z`" />
    </template>
    <rect
      class="rim w-[calc(100%_-_2px)] fill-none stroke-line stroke-width-1.3"
      x="1"
      :y="ABOVE"
      :height="CELL"
      rx="4"
    />
    <svg v-if="bypass" width="100%" :height="STREAM + 4" viewBox="0 0 100 36" preserveAspectRatio="none">
      <path
        class="stream over fill-none stroke-stream stroke-width-3 [stroke-opacity:0.75] stroke-still"
        d="M0 33C8 33 6 4 22 4H78C94 4 92 33 100 33"
      />
    </svg>
    <line
      v-else
      class="stream fill-none stroke-stream stroke-width-3 [stroke-opacity:0.75] stroke-still"
      x1="0"
      x2="100%"
      :y1="STREAM"
      :y2="STREAM"
    />
  </svg>
</template>

<style scoped>
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
</style>
