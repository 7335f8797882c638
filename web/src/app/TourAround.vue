<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { TOUR } from './tour'

/** A walk past the places, for whoever asks for it: one sentence each, at what is in view on this screen. */
const open = defineModel<boolean>({ required: true })

interface Stop {
  target: HTMLElement
  title: string
  tells: string
}
const stops = ref<Stop[]>([])

/** The rail and the bar of a phone are both there; only one is seen. */
const seen = (place: string) =>
  [...document.querySelectorAll<HTMLElement>(`[data-tour="${place}"]`)].find(
    (one) => one.getClientRects().length > 0,
  )

onMounted(() => {
  stops.value = TOUR.flatMap(({ place, title, tells }) => {
    const target = seen(place)
    return target ? [{ target, title, tells }] : []
  })
})
</script>

<template>
  <el-tour v-if="stops.length" v-model="open" placement="right">
    <el-tour-step
      v-for="stop in stops"
      :key="stop.title"
      :target="stop.target"
      :title="stop.title"
      :description="stop.tells"
    />
  </el-tour>
</template>
