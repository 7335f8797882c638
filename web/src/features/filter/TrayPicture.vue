<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import type { Chamber } from './inside'
import PathTextures from './PathTextures.vue'
import PlaceBox from './PlaceBox.vue'
import TubRow from './TubRow.vue'
import { arrowOf, drawnOf, insideSentence, SHUT, type Inside, type Part } from './trays'

/**
 * A filter as hands meet it, from the top: its head, its trays and what lies in them. During a service also what is out and in
 * which tub, and what comes next.
 */
const props = withDefaults(
  defineProps<{ chambers: Chamber[]; parts: Part[]; lid: boolean; inside?: Inside; tubs?: number }>(),
  { inside: () => SHUT, tubs: 0 },
)

const rooms = computed(() => drawnOf(props.chambers, props.parts, props.inside))
const sentence = computed(() => insideSentence(props.chambers, props.parts, props.inside))

const lidIsNext = computed(() => props.inside.next?.thing === 'lid')
</script>

<template>
  <div class="grid cols-[3_2] gap-3 max-w-430px" role="img" :aria-label="sentence">
    <PathTextures />
    <div class="filter only-of-type:col-span-full" aria-hidden="true">
      <div
        v-if="lid"
        class="head w-74% mx-auto py-5px px-2 edge-1.5-ink-quiet [border-radius:12px_12px_3px_3px] bg-surface text-center"
        :class="{ off: inside.lidOff, next: lidIsNext }"
      >
        {{ lidIsNext ? texts.head(arrowOf(inside)) : inside.lidOff ? texts.headOff : texts.head2 }}
      </div>
      <div class="flex gap-1">
        <div
          v-for="(room, i) in rooms"
          :key="i"
          class="grid flex-1 gap-5px content-start min-w-0 p-7px edge-1.5-line [border-radius:4px_4px_14px_14px]"
          :class="{ sealed: room.sealed }"
        >
          <p v-if="room.name" class="small quiet">{{ room.name }}</p>
          <PlaceBox v-for="place in room.places" :key="place.thing" :place="place" :inside="inside" />
        </div>
      </div>
    </div>
    <TubRow v-if="tubs || inside.out.size" :rooms="rooms" :parts="parts" :inside="inside" :tubs="tubs" />
  </div>
</template>

<style scoped>
.head.off {
  border-style: dashed;
  transform: translate(-18%, -6px) rotate(-6deg);
  color: var(--ink-quiet);
}

.sealed {
  border-color: var(--ink-quiet);
}

.next {
  outline: 2.5px solid var(--herb);
  outline-offset: 1px;
  font-weight: 640;
}
</style>
