<script setup lang="ts">
import { texts } from './texts'
import HoldNotice from './HoldNotice.vue'
import { useWater } from './queries'

/** On a tank's page, first of all: what must not be touched. */
const props = defineProps<{ tank: number }>()

const water = useWater(() => props.tank)
</script>

<template>
  <div v-if="water.data.value?.holds.length" class="grid gap-6px my-10px">
    <HoldNotice v-for="hold in water.data.value.holds" :key="hold.cause" :hold="hold" />
    <RouterLink
      v-if="water.data.value.holds.some((hold) => hold.cause === 'AMMONIA')"
      class="why justify-self-start py-2 px-0"
      :to="{ name: 'start-case', query: { tank: props.tank } }"
      >{{ texts.findWhereTheAmmonia }}</RouterLink
    >
  </div>
</template>
