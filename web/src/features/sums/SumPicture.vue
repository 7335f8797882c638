<script setup lang="ts">
import { computed } from 'vue'
import CostLines from './CostLines.vue'
import CutSheets from './CutSheets.vue'
import LevelsSection from './LevelsSection.vue'
import type { Drawing } from './picture'
import SawTeeth from './SawTeeth.vue'
import ScaleMarks from './ScaleMarks.vue'

/** The drawing of a sum; what it shows stands in words beside it. */
const props = defineProps<{ drawing: Drawing }>()

const WIDTH = 320
const TUB = 26
const tubs = computed(() => (props.drawing.kind === 'tubs' ? props.drawing : undefined))
const parts = computed(() => {
  if (props.drawing.kind !== 'parts') return []
  let at = 0
  return props.drawing.parts
    .filter((part) => part.share > 0)
    .map((part) => {
      const x = at * WIDTH
      at += part.share
      return { ...part, x, width: part.share * WIDTH }
    })
})
</script>

<template>
  <figure aria-hidden="true">
    <LevelsSection v-if="drawing.kind === 'levels'" :drawing="drawing" />
    <ScaleMarks v-else-if="drawing.kind === 'scale'" :drawing="drawing" />
    <CostLines v-else-if="drawing.kind === 'lines'" :drawing="drawing" />
    <CutSheets v-else-if="drawing.kind === 'cut'" :drawing="drawing" />
    <SawTeeth v-else-if="drawing.kind === 'saw'" :drawing="drawing" />
    <svg v-else-if="drawing.kind === 'pair'" :viewBox="`0 0 ${WIDTH} 64`">
      <text x="2" y="14">{{ drawing.one }}</text>
      <rect class="stream" x="1" y="22" :width="WIDTH - 2" height="18" />
      <rect class="glass" x="1" y="22" :width="WIDTH - 2" height="18" />
      <text x="2" y="58">{{ drawing.other }}</text>
    </svg>
    <template v-else-if="tubs">
      <svg :viewBox="`0 0 ${WIDTH} 40`">
        <g v-for="tub in tubs.count" :key="tub" :transform="`translate(${(tub - 1) * TUB}, 4)`">
          <rect class="stream" x="2" :y="30 - 28 * tubs.filled" width="18" :height="28 * tubs.filled" />
          <path class="glass" d="M1 0L3 31H19L21 0" />
        </g>
      </svg>
      <figcaption class="small quiet">{{ tubs.label }}</figcaption>
    </template>
    <template v-else>
      <svg :viewBox="`0 0 ${WIDTH} 36`">
        <rect
          v-for="part in parts"
          :key="part.label"
          :class="part.tone"
          :x="part.x"
          y="2"
          :width="part.width"
          height="32"
        />
        <rect class="glass" x="1" y="2" :width="WIDTH - 2" height="32" />
      </svg>
      <ul class="small">
        <li v-for="part in parts" :key="part.label"><i :class="part.tone" />{{ part.label }}</li>
      </ul>
    </template>
  </figure>
</template>

<style scoped src="./picture.css"></style>
