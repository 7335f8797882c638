<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { datedDay, today } from '@/shared/dates'
import { curvePath, stretches } from './line'
import { stayWords, type Piece } from './words'

/** A piece's life: above, how much of its bacteria is there; below, the tanks it went through. */
const props = defineProps<{ piece: Piece; curve: { on: string; share: number }[] }>()

const WIDTH = 800
const HEIGHT = 120
/** Of tanks in the order in which they were met; on a shelf there is none. */
const COLOURS = ['var(--herb-soft)', 'var(--amber-soft)', 'var(--plum-soft)', 'var(--brick-soft)']
const now = today()
const parts = computed(() => stretches(props.piece, now))
const path = computed(() => curvePath(props.curve, WIDTH, HEIGHT))
const words = computed(() => props.piece.stays.map((stay) => stayWords(stay, now)).join('. '))
</script>

<template>
  <figure class="my-3 mx-0" role="img" :aria-label="words">
    <p class="small quiet" aria-hidden="true">{{ texts.bacteriaItHoldsRipe }}</p>
    <svg
      class="block w-full h-120px edge-b-line"
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      <line
        class="stroke-ink-quiet stroke-dash-6_6 stroke-still"
        x1="0"
        :x2="WIDTH"
        :y1="HEIGHT * 0.1"
        :y2="HEIGHT * 0.1"
      />
      <path class="fill-herb-soft" :d="`${path} L ${WIDTH} ${HEIGHT} L 0 ${HEIGHT} Z`" />
      <path class="curve fill-none stroke-herb stroke-width-2.5 stroke-still" :d="path" />
    </svg>
    <div class="band small relative h-38px mt-1" aria-hidden="true">
      <span
        v-for="part in parts"
        :key="part.stay.from + part.stay.spot"
        class="stay"
        :class="part.stay.spot.toLowerCase()"
        :style="{
          left: `${part.from * 100}%`,
          width: `max(2px, ${part.width * 100}%)`,
          background: COLOURS[part.colour],
        }"
        :title="stayWords(part.stay, now)"
        >{{ part.width > 0.12 ? part.stay.where : '' }}</span
      >
    </div>
    <figcaption class="small quiet flex justify-between" aria-hidden="true">
      <span>{{ datedDay(piece.stays[0]?.from ?? now) }}</span>
      <span>{{ texts.today }}</span>
    </figcaption>
  </figure>
</template>

<style scoped>
.stay {
  position: absolute;
  height: 34px;
  padding: 6px 8px;
  overflow: hidden;
  white-space: nowrap;
  background: var(--hair);
  border-top: 3px solid transparent;
  border-right: 2px solid var(--paper);
}

.seeding {
  border-top: 3px dashed var(--herb);
}
</style>
