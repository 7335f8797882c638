<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { numberWords, say } from '@/shared/units'
import { effectsOf, GENTLE_STEP_C, LARGE_SHARE } from './effects'
import type { Reading, Tap } from './queries'

/** What the change that is being typed will do to the tank, drawn as the tank with its new water on top. */
const props = defineProps<{
  /** Of the tank, litres. */
  volume: number
  litres?: number
  /** Litres in a millimetre of its level; absent if nobody measured it. */
  litresAMm?: number
  /** Temperature of the new water, °C. */
  newC?: number
  last: Reading[]
  tap: Tap[]
}>()

const HEIGHT = 150
const effects = computed(() => effectsOf(props.volume, props.litres ?? 0, props.newC, props))
const fresh = computed(() => (effects.value?.share ?? 0) * HEIGHT)
const step = computed(() =>
  effects.value?.temperature ? effects.value.temperature.after - effects.value.temperature.before : 0,
)
</script>

<template>
  <section aria-labelledby="does" aria-live="polite">
    <h2 id="does">{{ texts.whatItDoes }}</h2>
    <svg viewBox="0 0 240 162" class="tank w-full max-w-300px my-10px" aria-hidden="true">
      <rect class="fill-stream [fill-opacity:0.28]" x="6" y="6" width="228" :height="HEIGHT" />
      <rect class="fill-stream [fill-opacity:0.75]" x="6" y="6" width="228" :height="fresh" />
      <line
        v-if="effects"
        class="stroke-ink stroke-dash-5_4"
        x1="6"
        x2="234"
        :y1="6 + fresh"
        :y2="6 + fresh"
      />
      <path class="glass fill-none stroke-ink-quiet stroke-width-2.5" :d="`M5 2V${HEIGHT + 8}H235V2`" />
    </svg>
    <p v-if="!effects" class="quiet">{{ texts.typeHowMuchWater }}</p>
    <ul v-else>
      <li class="py-6px edge-b-hair">
        <b>{{ numberWords(100 * effects.share, 0) }} %</b>
        {{ texts.newWaterOf(say('VOLUME', litres ?? 0), say('VOLUME', volume)) }}
      </li>
      <li v-if="litresAMm" class="py-6px edge-b-hair">
        {{ texts.itsLevelFallsBy }} <b>{{ say('SIZE', (litres ?? 0) / litresAMm) }}</b>{{
          texts.moreWhereStonesTake
        }}
      </li>
      <li v-if="effects.temperature" class="py-6px edge-b-hair">
        {{ texts.theTankGoesFrom(say('TEMPERATURE', effects.temperature.before)) }}
        <b>{{ say('TEMPERATURE', effects.temperature.after) }}</b>.
      </li>
      <li v-if="effects.nitrate" class="py-6px edge-b-hair">
        {{ texts.nitrateGoesFromTo(say('CONCENTRATION', effects.nitrate.before)) }}
        <b>{{ say('CONCENTRATION', effects.nitrate.after) }}</b>{{
          effects.nitrate.tapKnown ? '' : texts.ifYourTapWater
        }}.
      </li>
      <li v-if="effects.share > LARGE_SHARE" class="py-6px px-0 edge-b-hair pl-12px edge-l-4-amber">
        {{ texts.thatIsMoreThan }}
      </li>
      <li v-if="Math.abs(step) > GENTLE_STEP_C" class="py-6px px-0 edge-b-hair pl-12px edge-l-4-amber">
        {{ texts.theTanksTemperatureJumps }}
      </li>
    </ul>
  </section>
</template>
