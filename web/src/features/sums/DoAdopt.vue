<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { useSetTask } from '@/features/filter'
import { useChangeItem } from '@/features/stock'
import SelectField from '@/shared/components/SelectField.vue'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { adoption, type Adopted } from './adopt'
import { money } from '@/shared/units'
import type { Known } from './prefill'
import type { Given } from './queries'

/** The other way taken: each part names the task that uses it and the item it comes from; both follow, and can be taken back. */
const props = defineProps<{ known: Known; given: Given }>()

const setTask = useSetTask()
const changeItem = useChangeItem()
const { sending, trouble, send } = useSending()
const parts = computed(() => {
  const options = props.given.options as { parts?: { price: number; size?: number; everyDays: number }[] }[]
  return options[1]?.parts ?? []
})
const tasks = ref<(number | undefined)[]>([])
const items = ref<(number | undefined)[]>([])
const taskChoices = computed(() =>
  (props.known.filter?.tasks ?? []).map((task) => ({ value: task.id, label: task.name })),
)
const itemChoices = computed(() =>
  (props.known.stores?.items ?? []).map((one) => ({ value: one.id, label: one.item.name })),
)
const chosen = computed(() => adoption(props.known, parts.value, tasks.value, items.value))

async function apply(changes: Adopted) {
  for (const { task, setting } of changes.tasks) await setTask.mutateAsync({ task, setting })
  for (const change of changes.items) await changeItem.mutateAsync(change)
}

async function adopt() {
  const { to, back } = chosen.value
  const done = await send(async () => {
    await apply(to)
    return true
  })
  if (done) offerUndo(texts.adoptedTasksAndStores, () => apply(back))
}
</script>

<template>
  <details v-if="parts.length">
    <summary class="py-12px font-600 cursor-pointer">{{ texts.adoptTheOtherWay }}</summary>
    <p class="quiet">{{ texts.sayWhichTaskEach }}</p>
    <div
      v-for="(part, index) in parts"
      :key="index"
      class="grid cols-[repeat(auto-fill,minmax(180px,1fr))] gap-y-10px gap-x-3 items-end pt-2 pb-3"
    >
      <p class="num">{{ texts.everyDays(money(part.price), part.everyDays) }}</p>
      <SelectField
        v-model="tasks[index]"
        :label="texts.task"
        :name="`task[${index}]`"
        :choices="taskChoices"
      />
      <SelectField
        v-model="items[index]"
        :label="texts.inStores"
        :name="`item[${index}]`"
        :choices="itemChoices"
      />
    </div>
    <el-button
      type="primary"
      :disabled="!chosen.to.tasks.length && !chosen.to.items.length"
      :loading="sending"
      @click="adopt"
      >{{ texts.adoptIt }}</el-button
    >
    <p v-if="trouble" class="error" role="alert">{{ trouble }}</p>
  </details>
</template>
