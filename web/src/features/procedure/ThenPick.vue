<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import type { Filter } from '@/features/filter'

/** Other filters of the tank that have work due: each may follow in the same go. */
const props = defineProps<{ filters: Filter[]; wanted: number[]; error?: string }>()
const then = defineModel<number[]>({ required: true })

const offers = computed(() =>
  props.filters
    .map((filter) => ({ filter, tasks: filter.tasks.filter((task) => props.wanted.includes(task.id)) }))
    .filter((offer) => offer.tasks.length > 0),
)
const picked = computed({
  get: () =>
    offers.value
      .filter((offer) => offer.tasks.some((task) => then.value.includes(task.id)))
      .map((offer) => offer.filter.id),
  set: (ids) => {
    then.value = ids.flatMap(
      (id) => offers.value.find((offer) => offer.filter.id === id)?.tasks.map((task) => task.id) ?? [],
    )
  },
})
</script>

<template>
  <section v-if="offers.length" class="then [margin-block:14px]">
    <h2>{{ texts.inTheSameGo }}</h2>
    <el-checkbox-group v-model="picked" :aria-label="texts.inTheSameGo">
      <el-checkbox
        v-for="{ filter, tasks } in offers"
        :key="filter.id"
        :value="filter.id"
        class="tick flex h-auto mr-0 edge-b-hair whitespace-normal"
      >
        {{ texts.then2(filter.name, tasks.map((task) => task.name).join(', ')) }}
      </el-checkbox>
    </el-checkbox-group>
    <p v-if="picked.length && !error" class="small quiet">
      {{ texts.oneSetOfTubs }}
    </p>
    <p v-if="error" class="trouble" role="alert">{{ error }}</p>
  </section>
</template>
