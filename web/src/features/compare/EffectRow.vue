<script setup lang="ts">
import { computed } from 'vue'
import { upperFirst } from '@/shared/words'
import type { Effect } from './queries'
import { placeOf, stretchOf } from './scale'

/** An effect drawn on the scale of how fast filters fill, and in words. */
const props = defineProps<{ effect: Effect }>()

const range = computed(() => stretchOf(props.effect.low, props.effect.high))
const percent = (share: number) => `${(share * 100).toFixed(1)}%`
</script>

<template>
  <li>
    <h3>{{ upperFirst(effect.name) }}</h3>
    <div class="scale" aria-hidden="true">
      <span class="as-before" />
      <span
        class="range"
        :class="{ told: effect.told }"
        :style="{ left: percent(range.from), width: percent(range.width) }"
      />
      <span class="best" :style="{ left: percent(placeOf(effect.ratio)) }" />
    </div>
    <p>{{ effect.words }}</p>
    <p class="small quiet">{{ effect.with }} runs with, {{ effect.without }} without.</p>
  </li>
</template>

<style scoped>
li {
  padding: 12px 0;
  border-bottom: 1px solid var(--hair);
}

.scale {
  position: relative;
  height: 30px;
  margin: 6px 0;
  background: var(--hair);
}

.scale > * {
  position: absolute;
  top: 0;
  bottom: 0;
}

.as-before {
  left: 50%;
  width: 2px;
  background: var(--ink-quiet);
}

.range {
  top: 6px;
  bottom: 6px;
  background: var(--plum-soft);
  border: 2px dashed var(--plum);
}

.range.told {
  background: var(--herb-soft);
  border: 2px solid var(--herb);
}

.best {
  width: 4px;
  margin-left: -2px;
  background: var(--ink);
}
</style>
