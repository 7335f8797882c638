<script setup lang="ts">
import { texts } from './texts'
import type { Drawn, Inside, Part } from './trays'

/** The tubs of a service with what stands in each, and what lies aside. */
const props = defineProps<{ rooms: { places: Drawn[] }[]; parts: Part[]; inside: Inside; tubs: number }>()

function standingIn(tub: number | undefined): string[] {
  const places = props.rooms.flatMap((room) => room.places)
  return [...props.inside.out]
    .filter(([, where]) => where === tub)
    .map(([thing]) => {
      const place = places.find((one) => one.thing === thing)
      if (!place) return props.parts.find((part) => `stage-${part.id}` === thing)?.name ?? ''
      const inIt = place.contents
        .filter((one) => !props.inside.out.has(one.thing))
        .map((one) => one.part.name)
      return inIt.length ? texts.with(place.name, inIt.join(', ')) : place.name
    })
}
</script>

<template>
  <div class="tubs" aria-hidden="true">
    <div v-for="tub in tubs" :key="tub" class="tub">
      <b class="num">{{ tub }}</b>
      <span v-for="what in standingIn(tub)" :key="what" class="small">{{ what }}</span>
    </div>
    <div v-if="standingIn(undefined).length" class="tub dry">
      <b>{{ texts.aside }}</b>
      <span v-for="what in standingIn(undefined)" :key="what" class="small">{{ what }}</span>
    </div>
  </div>
</template>

<style scoped>
.tubs,
.tub {
  display: grid;
  gap: 8px;
  align-content: start;
}

.tub {
  gap: 2px;
  min-height: 58px;
  padding: 5px 10px;
  border: 1.5px solid var(--stream);
  border-top-style: none;
  border-radius: 2px 2px 14px 14px;
}

.dry {
  border: 1.3px dashed var(--line);
  border-radius: 6px;
}
</style>
