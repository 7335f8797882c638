<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import PieceLine from './PieceLine.vue'
import { useExchanges, usePieces } from './queries'
import { lastStay } from './words'

/** On a tank: media on record in it, what is seeded for it elsewhere, and an exchange that is under way. */
const props = defineProps<{ tank: number }>()

const pieces = usePieces()
const exchanges = useExchanges(() => props.tank)
const here = computed(() =>
  (pieces.data.value ?? []).filter(
    (one) => lastStay(one)?.tankId === props.tank || lastStay(one)?.forTankId === props.tank,
  ),
)
const running = computed(() => exchanges.data.value?.find((one) => !one.endedOn))
</script>

<template>
  <section v-if="here.length || running" :aria-label="texts.media">
    <h2 class="mt-4">{{ texts.media }}</h2>
    <p v-if="running">
      <RouterLink :to="{ name: 'water-exchange', params: { tank: props.tank } }">
        {{ texts.ofPortionsExchanged(running.stage, running.done, running.portions.length) }}
      </RouterLink>
    </p>
    <ul>
      <PieceLine v-for="piece in here" :key="piece.id" :piece="piece" />
    </ul>
  </section>
</template>
