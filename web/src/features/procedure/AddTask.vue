<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { useFilters } from '@/features/filter'
import SelectField from '@/shared/components/SelectField.vue'
import type { Guided } from './queries'

/** A task found necessary on the way, as a cracked seal: it joins the steps in its place. */
const props = defineProps<{ view: Guided }>()
const emit = defineEmits<{ add: [task: number] }>()

const filters = useFilters(() => props.view.place.tankId)
const chosen = ref<number>()
const offered = computed(() => {
  const served = new Set(props.view.steps.map((step) => step.taskId))
  const filter = filters.data.value?.find((one) => one.id === props.view.place.filterId)
  return (filter?.tasks ?? []).filter((task) => !served.has(task.id) && task.action !== 'OPEN')
})

function add() {
  if (chosen.value !== undefined) emit('add', chosen.value)
  chosen.value = undefined
}
</script>

<template>
  <form v-if="offered.length" class="flex gap-2 mt-12px" @submit.prevent="add">
    <SelectField
      v-model="chosen"
      class="what flex-1 min-w-0"
      :label="texts.taskFoundNecessary"
      name="task"
      :placeholder="texts.foundMoreToDo"
      :choices="offered.map((task) => ({ value: task.id, label: task.name }))"
      bare
    />
    <el-button class="min-h-touch" native-type="submit" :disabled="!chosen">{{ texts.add }}</el-button>
  </form>
</template>
