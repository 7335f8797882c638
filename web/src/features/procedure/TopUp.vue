<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { sumAt, tellDose, tellLitres, useAnswer, useKept } from '@/features/sums'

/** What goes into the water that tops the tank up: how much, its conditioner, hot and cold, as far as the bench knows. */
const props = defineProps<{
  tank: number
  /** Tank water that was drawn, litres; the tank wants as much back. */
  litres: number
}>()

const kept = useKept(() => props.tank)
const givenTo = (name: string) => kept.data.value?.find((one) => one.sum === name)?.given
const dosed = computed(() => {
  const given = givenTo('conditioner')
  return given && { ...given, newL: props.litres, plannedMl: undefined }
})
const mixed = computed(() => {
  const given = givenTo('mix')
  return given && { ...given, litres: props.litres }
})
const conditioner = useAnswer('conditioner', dosed)
const mix = useAnswer('mix', mixed)
</script>

<template>
  <ul class="top-up mb-3 text-17px">
    <li class="py-6px">{{ texts.aboutWereDrawn(tellLitres(litres)) }}</li>
    <li v-if="dosed && conditioner.data.value" class="py-6px">
      {{ texts.conditioner }} <b>{{ tellDose(Number(conditioner.data.value.values.doseMl)) }}</b>{{
        texts.ofYourMeasure(String(conditioner.data.value.values.units))
      }}
    </li>
    <li v-else class="py-6px">
      <RouterLink class="inline-block py-10px px-0" :to="sumAt('conditioner', tank, { newL: litres })">{{
        texts.howMuchConditioner
      }}</RouterLink>
    </li>
    <li v-if="mixed && mix.data.value" class="py-6px">
      <b>{{ tellLitres(Number(mix.data.value.values.hotL)) }}</b> {{ texts.hotAnd }}
      <b>{{ tellLitres(Number(mix.data.value.values.coldL)) }}</b> {{ texts.coldCheckWithA }}
    </li>
    <li v-else class="py-6px">
      <RouterLink class="inline-block py-10px px-0" :to="sumAt('mix', tank, { litres })">{{
        texts.howMuchHotWater
      }}</RouterLink>
    </li>
  </ul>
</template>
