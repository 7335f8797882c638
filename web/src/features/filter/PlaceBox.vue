<script setup lang="ts">
import { computed } from 'vue'
import { lookOf } from './picture'
import { arrowOf, type Drawn, type Inside, type Thing } from './trays'

/** One place of the picture with what lies in it. */
const props = defineProps<{ place: Drawn; inside: Inside }>()

const isGone = (thing: Thing) => props.place.lifted || props.inside.out.has(thing)
const isNext = (thing: Thing) => props.inside.next?.thing === thing
/** A place that goes by what lies in it needs no name of its own. */
const sameName = computed(
  () =>
    props.place.contents.length === 1 &&
    props.place.name === `the ${props.place.contents[0]?.part.name ?? ''}`,
)
const said = (thing: Thing, name: string) => (isNext(thing) ? `${arrowOf(props.inside)} ${name}` : name)
</script>

<template>
  <div class="place" :class="[place.kind.toLowerCase(), { gone: place.lifted, next: isNext(place.thing) }]">
    <p v-if="!sameName" class="small quiet">{{ said(place.thing, place.name) }}</p>
    <div
      v-for="{ part, thing } in place.contents"
      :key="thing"
      class="band"
      :class="{ gone: isGone(thing), next: isNext(thing) }"
    >
      <svg width="100%" height="26">
        <rect width="100%" height="26" :fill="`url(#tx-${lookOf(part.kind).texture})`" />
      </svg>
      <span>{{ said(thing, part.name) }}</span>
    </div>
  </div>
</template>

<style scoped>
.place {
  display: grid;
  gap: 2px;
  padding: 3px 5px 5px;
  border: 1.3px solid var(--line);
  border-radius: 3px 3px 7px 7px;
  background: var(--ground);
}

.cage,
.place.gone {
  border-style: dashed;
}

.fixed {
  border-style: dotted;
}

.band {
  display: grid;
  align-items: center;
  border-radius: 3px;
  background: var(--cell);
  overflow: hidden;
}

.band > * {
  grid-area: 1 / 1;
}

.band span {
  justify-self: start;
  max-width: 100%;
  padding: 0 6px;
  background: color-mix(in srgb, var(--cell) 82%, transparent);
}

.band.gone {
  background: none;
  border: 1px dashed var(--line);
  color: var(--ink-quiet);
}

.band.gone svg {
  visibility: hidden;
}

.next {
  outline: 2.5px solid var(--herb);
  outline-offset: 1px;
  font-weight: 640;
}
</style>
