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
  <div
    class="place grid gap-2px pt-3px pb-5px px-5px edge-1.3-line [border-radius:3px_3px_7px_7px] bg-ground"
    :class="{
      cage: place.kind === 'CAGE',
      built: place.kind === 'FIXED',
      gone: place.lifted,
      next: isNext(place.thing),
    }"
  >
    <p v-if="!sameName" class="small quiet">{{ said(place.thing, place.name) }}</p>
    <div
      v-for="{ part, thing } in place.contents"
      :key="thing"
      class="band grid items-center rounded-3px bg-cell overflow-hidden"
      :class="{ gone: isGone(thing), next: isNext(thing) }"
    >
      <svg class="[grid-area:1_/_1]" width="100%" height="26">
        <rect width="100%" height="26" :fill="`url(#tx-${lookOf(part.kind).texture})`" />
      </svg>
      <span class="[grid-area:1_/_1]">{{ said(thing, part.name) }}</span>
    </div>
  </div>
</template>

<style scoped>
.cage,
.place.gone {
  border-style: dashed;
}

.built {
  border-style: dotted;
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
