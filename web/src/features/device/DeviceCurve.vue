<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import { momentWords } from '@/shared/dates'
import { useSeries } from './queries'
import { readingWords, type Device } from './words'

/** What a device read: a line through the middle, and around it the least and the greatest of each stretch. */
const props = defineProps<{ device: Device }>()

const SPANS = [
  { value: 6, label: texts.n6Hours },
  { value: 48, label: texts.n2Days },
  { value: 720, label: texts.n30Days },
  { value: 8760, label: texts.aYear },
]
const WIDTH = 700
const HEIGHT = 160
const LEFT = 4

const hours = ref(48)
const series = useSeries(() => props.device.id, hours)
const points = computed(() => series.data.value?.points ?? [])

const scale = computed(() => {
  const low = Math.min(...points.value.map((one) => one.least))
  const high = Math.max(...points.value.map((one) => one.greatest))
  const room = Math.max((high - low) * 0.1, Math.abs(high) * 0.02, 0.1)
  const first = Date.parse(points.value[0]?.at ?? '')
  const last = Date.parse(points.value.at(-1)?.at ?? '')
  return {
    low,
    high,
    x: (at: string) => LEFT + ((Date.parse(at) - first) / Math.max(1, last - first)) * (WIDTH - 2 * LEFT),
    y: (value: number) => HEIGHT - ((value - low + room) / (high - low + 2 * room)) * HEIGHT,
  }
})
const at = (x: number, y: number) => `${x.toFixed(1)},${y.toFixed(1)}`
const line = computed(() =>
  points.value.map((one) => at(scale.value.x(one.at), scale.value.y(one.mean))).join(' '),
)
const band = computed(() =>
  [
    ...points.value.map((one) => at(scale.value.x(one.at), scale.value.y(one.greatest))),
    ...points.value.toReversed().map((one) => at(scale.value.x(one.at), scale.value.y(one.least))),
  ].join(' '),
)
const words = computed(() => {
  const last = points.value.at(-1)
  return last
    ? texts.betweenAndLately(
        props.device.name,
        readingWords(props.device.kind, scale.value.low),
        readingWords(props.device.kind, scale.value.high),
        readingWords(props.device.kind, last.mean),
      )
    : ''
})
</script>

<template>
  <div>
    <ChoiceRow v-model="hours" bare :legend="texts.howFarBack" :name="`span-${device.id}`" :choices="SPANS" />
    <AsyncState
      :pending="series.isPending.value"
      :error="lacking(series)"
      :what="texts.theCurve"
      @retry="series.refetch()"
    >
      <p v-if="points.length < 2" class="quiet">{{ texts.tooLittleWasRead }}</p>
      <figure v-else class="mt-3 mb-0 mx-0">
        <svg
          class="block w-full edge-b-line"
          :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
          role="img"
          :aria-label="words"
        >
          <polygon :points="band" class="band fill-herb-soft" />
          <polyline :points="line" class="fill-none stroke-herb stroke-width-2" />
        </svg>
        <figcaption class="quiet small">
          {{
            texts.toTo(
              momentWords(points[0]!.at),
              momentWords(points.at(-1)!.at),
              readingWords(device.kind, scale.low),
              readingWords(device.kind, scale.high),
            )
          }}
        </figcaption>
      </figure>
    </AsyncState>
  </div>
</template>
