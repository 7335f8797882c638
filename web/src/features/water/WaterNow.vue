<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import SumLinks from '@/shared/components/SumLinks.vue'
import { agoWords, shortDay } from '@/shared/dates'
import ComingReadings from './ComingReadings.vue'
import HoldNotice from './HoldNotice.vue'
import TapFields from './TapFields.vue'
import { useParameters, type Water } from './queries'
import { bandWords, riseWords } from './rises'
import { plain, unitOf } from '@/shared/units'
import { useUnits } from './units'

/** How the water is now: holds, readings due, last values, what they mean, and what may be logged. */
const props = defineProps<{ tank: number; water: Water }>()

const parameters = useParameters()
const { scale, words } = useUnits()

const parameterOf = (code: string) =>
  parameters.data.value?.find((one) => one.code === code) ?? { code, label: code, unit: '', noise: 0 }
const ACTS = [
  { name: 'change', label: texts.waterChange2 },
  { name: 'condition', label: texts.conditionCheck },
  { name: 'medication', label: texts.medication2 },
  { name: 'media', label: texts.replaceBioMedia2 },
  { name: 'exchange', label: texts.exchangeMediaInPortions },
  { name: 'table', label: texts.readingsInAndOut2 },
  { name: 'methods', label: texts.testKitsAndParameters },
]
const BAND = { CALM: 'calm', STRAIN: 'strain', HARM: 'harm', DANGER: 'danger' }
const toxic = computed(() => props.water.toxic)
</script>

<template>
  <aside class="grid gap-16px content-start" :aria-label="texts.now">
    <HoldNotice v-for="hold in water.holds" :key="hold.cause" :hold="hold" />
    <section v-if="water.due.length" aria-labelledby="due">
      <h2 id="due">{{ texts.readingsDue }}</h2>
      <ul>
        <li v-for="one in water.due" :key="one.parameter">
          <b>{{ one.label }}</b> {{ texts.until(shortDay(one.until)) }}
          <span class="small quiet">{{ texts.on2(one.why, shortDay(one.began)) }}</span>
        </li>
      </ul>
    </section>
    <ComingReadings :tank="props.tank" />
    <section aria-labelledby="last">
      <h2 id="last">{{ texts.lastValues }}</h2>
      <p v-if="water.last.length === 0" class="quiet">{{ texts.nothingReadYet }}</p>
      <dl>
        <div
          v-for="reading in water.last"
          :key="reading.id"
          class="flex gap-10px justify-between py-1 edge-b-hair"
        >
          <dt>{{ parameterOf(reading.parameter).label }}</dt>
          <dd class="text-right">
            <span class="num">{{ words(reading, parameterOf(reading.parameter)) }}</span>
            <span class="small quiet inline-block min-w-84px"
              ><template v-if="reading.early">{{ texts.early }} </template
              >{{ agoWords(reading.takenAt.slice(0, 10)) }}</span
            >
          </dd>
        </div>
      </dl>
    </section>
    <section v-if="toxic" class="note-herb" :class="BAND[toxic.band]" aria-labelledby="toxic">
      <h2 id="toxic">{{ texts.toxicAmmonia(BAND[toxic.band]) }}</h2>
      <p>
        {{ toxic.atMost ? texts.atMost : ''
        }}<span class="num">{{ toxic.milligramsPerLitre.toFixed(3) }}</span>
        {{ unitOf('CONCENTRATION').symbol }}, <span class="num">{{ plain(toxic.percent) }}</span>
        {{ texts.ofTheTotal(toxic.words) }}
      </p>
    </section>
    <section v-for="one in water.production" :key="one.parameter" :aria-label="texts.madeOf(one.parameter)">
      <p>
        <b>{{ parameterOf(one.parameter).label }}</b>
        {{ texts.aWeek(riseWords(one), scale(parameterOf(one.parameter)).unit) }}
        <span class="small quiet"
          >{{ texts.n4ChancesIn5(bandWords(one), one.readings, shortDay(one.since)) }}
          <template v-if="one.coarse">{{ texts.aColourCardHides }}</template></span
        >
      </p>
      <p v-for="day in one.unlogged" :key="day" class="small">
        {{ texts.wasWaterChangedAbout(shortDay(day)) }}
        <RouterLink :to="{ name: 'water-change', params: { tank: props.tank } }">{{
          texts.logItForIts
        }}</RouterLink>
      </p>
    </section>
    <TapFields v-if="water.production.length" :tank="props.tank" :tap="water.tap" />
    <section v-if="water.best.length" aria-labelledby="best">
      <h2 id="best">{{ texts.bestDayToRead }}</h2>
      <p v-for="one in water.best" :key="one.parameter">
        {{ parameterOf(one.parameter).label }}: {{ shortDay(one.day) }}.
        <span class="small quiet">{{ one.why }}</span>
      </p>
    </section>
    <SumLinks
      :tank="props.tank"
      :sums="[
        { name: 'schedule', question: texts.whereDoesMyRoutine },
        { name: 'lower', question: texts.howMuchWaterTo },
        { name: 'toxic', question: texts.whatDoesTheAmmonia },
      ]"
    />
    <nav :aria-label="texts.logAndSetUp">
      <RouterLink
        v-for="act in ACTS"
        :key="act.name"
        :to="{ name: `water-${act.name}`, params: { tank: props.tank } }"
        class="flex items-center min-h-touch edge-b-hair"
        >{{ act.label }}</RouterLink
      >
    </nav>
  </aside>
</template>

<style scoped>
.strain {
  border-color: var(--amber);
  background: var(--amber-soft);
}

.harm,
.danger {
  border-color: var(--brick);
  background: var(--brick-soft);
}
</style>
