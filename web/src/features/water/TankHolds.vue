<script setup lang="ts">
import HoldNotice from './HoldNotice.vue'
import { useWater } from './queries'

/** On a tank's page, first of all: what must not be touched. */
const props = defineProps<{ tank: number }>()

const water = useWater(() => props.tank)
</script>

<template>
  <div v-if="water.data.value?.holds.length" class="holds">
    <HoldNotice v-for="hold in water.data.value.holds" :key="hold.cause" :hold="hold" />
  </div>
</template>

<style scoped>
.holds {
  display: grid;
  gap: 6px;
  margin: 10px 0;
}
</style>
