<script setup lang="ts">
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
    <h2 id="does">What it does</h2>
    <svg viewBox="0 0 240 162" class="tank" aria-hidden="true">
      <rect class="old" x="6" y="6" width="228" :height="HEIGHT" />
      <rect class="new" x="6" y="6" width="228" :height="fresh" />
      <line v-if="effects" class="mark" x1="6" x2="234" :y1="6 + fresh" :y2="6 + fresh" />
      <path class="glass" :d="`M5 2V${HEIGHT + 8}H235V2`" />
    </svg>
    <p v-if="!effects" class="quiet">Type how much water you change, and see here what it does.</p>
    <ul v-else>
      <li>
        <b>{{ numberWords(100 * effects.share, 0) }} %</b> new water: {{ say('VOLUME', litres ?? 0) }} of
        {{ say('VOLUME', volume) }}.
      </li>
      <li v-if="litresAMm">
        Its level falls by about <b>{{ say('SIZE', (litres ?? 0) / litresAMm) }}</b>, more where stones take
        up room.
      </li>
      <li v-if="effects.temperature">
        The tank goes from {{ say('TEMPERATURE', effects.temperature.before) }} to
        <b>{{ say('TEMPERATURE', effects.temperature.after) }}</b>.
      </li>
      <li v-if="effects.nitrate">
        Nitrate goes from {{ say('CONCENTRATION', effects.nitrate.before) }} to about
        <b>{{ say('CONCENTRATION', effects.nitrate.after) }}</b>{{
          effects.nitrate.tapKnown ? '' : ', if your tap water has none'
        }}.
      </li>
      <li v-if="effects.share > LARGE_SHARE" class="warn">
        That is more than half the tank at once. Two smaller changes a day or two apart are easier on the
        animals, unless the water itself is harming them.
      </li>
      <li v-if="Math.abs(step) > GENTLE_STEP_C" class="warn">
        The tank’s temperature jumps. Bring the new water closer to the tank’s first.
      </li>
    </ul>
  </section>
</template>

<style scoped>
.tank {
  width: 100%;
  max-width: 300px;
  margin: 10px 0;
}

.old {
  fill: var(--stream);
  fill-opacity: 0.28;
}

.new {
  fill: var(--stream);
  fill-opacity: 0.75;
}

.mark {
  stroke: var(--ink);
  stroke-dasharray: 5 4;
}

.glass {
  fill: none;
  stroke: var(--ink-quiet);
  stroke-width: 2.5;
}

li {
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}

.warn {
  padding-left: 12px;
  border-left: 4px solid var(--amber);
}
</style>
