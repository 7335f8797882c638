<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import type { Visit } from './queries'

/** What to bring for all of today, each thing once. */
const props = defineProps<{ visits: Visit[] }>()

const carry = computed(() => {
  const things = new Map<string, { count: number; shared: boolean }>()
  for (const { thing, count, shared } of props.visits.flatMap((visit) => visit.carry)) {
    const had = things.get(thing)?.count ?? 0
    things.set(thing, { count: shared ? 1 : had + count, shared })
  }
  return things
})
</script>

<template>
  <aside class="tray" aria-labelledby="carry">
    <h2 id="carry">{{ texts.whatToBring }}</h2>
    <ul v-if="carry.size" class="mt-6px mb-20px">
      <li
        v-for="[thing, { count, shared }] in carry"
        :key="thing"
        class="flex justify-between py-7px edge-b-hair"
      >
        {{ thing }} <span v-if="!shared" class="num">{{ count }}</span>
      </li>
    </ul>
    <p v-else class="quiet">{{ texts.justYourHands }}</p>
    <p class="caution small mt-18px pl-12px edge-l-4-brick">
      {{ texts.unplugPumpsHeaterAnd }}
    </p>
  </aside>
</template>

<style scoped>
.tray {
  width: 300px;
  padding: 26px 24px;
  border-left: 1px solid var(--line);
  background: var(--surface);
}

@media (width <= 1000px) {
  .tray {
    width: auto;
    padding: 18px 16px 100px;
    border: 0;
    border-top: 1px solid var(--line);
  }
}
</style>
