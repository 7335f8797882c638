<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { shortDay } from '@/shared/dates'
import { useWatches } from './queries'

/** Readings that services of this tank still ask for; each stands in the rounds on its days and ends by itself. */
const props = defineProps<{ tank: number }>()

const watches = useWatches(() => props.tank)
const rows = computed(() => {
  const byWhy = new Map<string, Map<string, string[]>>()
  for (const one of watches.data.value ?? []) {
    const why = texts.on(one.why, shortDay(one.began))
    const labels = byWhy.get(why) ?? new Map<string, string[]>()
    labels.set(one.label, [...(labels.get(one.label) ?? []), shortDay(one.from)])
    byWhy.set(why, labels)
  }
  return [...byWhy]
})
</script>

<template>
  <section v-if="rows.length" aria-labelledby="coming">
    <h2 id="coming">{{ texts.readingsAskedFor }}</h2>
    <div v-for="[why, labels] in rows" :key="why">
      <p class="small quiet">{{ why }}:</p>
      <p v-for="[label, days] in labels" :key="label">
        <b>{{ label }}</b> {{ texts.from(days.join(', ')) }}
      </p>
    </div>
  </section>
</template>
