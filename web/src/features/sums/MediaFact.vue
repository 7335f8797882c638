<script setup lang="ts">
import { computed } from 'vue'
import { useKnown } from './known'
import { tell } from './measures'
import { prefill } from './prefill'
import { useAnswer, useSums } from './queries'

/** How much of its tank the media that lies in its filters carries. */
const props = defineProps<{ tank: number }>()

const { known } = useKnown(() => props.tank, 0)
const sums = useSums()
const given = computed(() => {
  const sum = sums.data.value?.find((one) => one.name === 'need')
  const origins = sum ? prefill(sum, known.value) : {}
  const { netL, stocking, have } = origins
  return netL && have
    ? { netL: netL.value, stocking: stocking?.value, media: 'POROUS', have: have.value }
    : undefined
})
const need = useAnswer('need', given)
const values = computed(() => (given.value ? need.data.value?.values : undefined))
</script>

<template>
  <p v-if="values" class="small quiet">
    Bio media: {{ tell('KILOGRAMS', Number(values.needKg)) }} needed, what lies there carries
    {{ tell('SHARE', Number(values.coverage)) }} of it, taken as porous ceramic.
    <RouterLink :to="{ name: 'sum', params: { sum: 'need' }, query: { tank } }">Reckon it</RouterLink>
  </p>
</template>
