<script setup lang="ts">
import { computed, ref } from 'vue'
import { useFilters } from '@/features/filter'
import type { Guided } from './queries'

/** A task found necessary on the way, as a cracked seal: it joins the steps in its place. */
const props = defineProps<{ view: Guided }>()
const emit = defineEmits<{ add: [task: number] }>()

const filters = useFilters(() => props.view.place.tankId)
const chosen = ref('')
const offered = computed(() => {
  const served = new Set(props.view.steps.map((step) => step.taskId))
  const filter = filters.data.value?.find((one) => one.id === props.view.place.filterId)
  return (filter?.tasks ?? []).filter((task) => !served.has(task.id) && task.action !== 'OPEN')
})

function add() {
  if (chosen.value) emit('add', Number(chosen.value))
  chosen.value = ''
}
</script>

<template>
  <form v-if="offered.length" class="more" @submit.prevent="add">
    <select v-model="chosen" aria-label="Task found necessary">
      <option value="">Found more to do …</option>
      <option v-for="task in offered" :key="task.id" :value="String(task.id)">{{ task.name }}</option>
    </select>
    <button class="button outlined" type="submit" :disabled="!chosen">Add</button>
  </form>
</template>

<style scoped>
.more {
  display: flex;
  gap: 8px;
  margin-top: 12px;
}

select {
  flex: 1;
  min-width: 0;
  min-height: var(--touch);
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--surface);
  color: var(--ink);
}

.button {
  min-height: var(--touch);
}
</style>
