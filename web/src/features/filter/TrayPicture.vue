<script setup lang="ts">
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
  <div class="picture" role="img" :aria-label="sentence">
    <PathTextures />
    <div class="filter" aria-hidden="true">
      <div v-if="lid" class="head" :class="{ off: inside.lidOff, next: lidIsNext }">
        {{ lidIsNext ? `${arrowOf(inside)} head` : inside.lidOff ? 'head off' : 'head' }}
      </div>
      <div class="rooms">
        <div v-for="(room, i) in rooms" :key="i" class="room" :class="{ sealed: room.sealed }">
          <p v-if="room.name" class="small quiet">{{ room.name }}</p>
          <PlaceBox v-for="place in room.places" :key="place.thing" :place="place" :inside="inside" />
        </div>
      </div>
    </div>
    <TubRow v-if="tubs || inside.out.size" :rooms="rooms" :parts="parts" :inside="inside" :tubs="tubs" />
  </div>
</template>

<style scoped>
.picture {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 14px;
  max-width: 430px;
}

.filter:only-of-type {
  grid-column: 1 / -1;
}

.head {
  width: 74%;
  margin: 0 auto;
  padding: 5px 8px;
  border: 1.5px solid var(--ink-quiet);
  border-radius: 12px 12px 3px 3px;
  background: var(--surface);
  text-align: center;
}

.head.off {
  border-style: dashed;
  transform: translate(-18%, -6px) rotate(-6deg);
  color: var(--ink-quiet);
}

.rooms {
  display: flex;
  gap: 4px;
}

.room {
  display: grid;
  flex: 1;
  gap: 5px;
  align-content: start;
  min-width: 0;
  padding: 7px;
  border: 1.5px solid var(--line);
  border-radius: 4px 4px 14px 14px;
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
