<script setup lang="ts">
import { computed, reactive, watch } from 'vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import NumberField from '@/shared/components/NumberField.vue'
import { useSending } from '@/shared/form'
import { typedNumber } from '@/shared/units'
import type { Choice } from '@/shared/words'
import { useSetTask, type Task } from './queries'

/** Whether a task learns, is fixed, or is switched off. */
const props = defineProps<{ task: Task | undefined }>()
const emit = defineEmits<{ close: [] }>()

const MODE: Choice<Task['mode']>[] = [
  { value: 'LEARN', label: 'Learn', hint: 'What is found moves the date, within the bounds below.' },
  { value: 'FIXED', label: 'Fixed', hint: 'The same days every time; learning goes on in the background.' },
  { value: 'OFF', label: 'Off', hint: 'Not asked for. It can still be switched on again here.' },
]
const set = useSetTask()
const { sending, errors, trouble, send, refuse } = useSending()
const form = reactive<{ mode: Task['mode']; days: string }>({ mode: 'LEARN', days: '' })
const shown = computed({
  get: () => props.task !== undefined,
  set: (open: boolean) => {
    if (!open) emit('close')
  },
})

watch(
  () => props.task,
  (task) => {
    errors.value = {}
    trouble.value = ''
    if (task)
      Object.assign(form, { mode: task.mode, days: String(task.fixedDays ?? task.catalogue.startDays) })
  },
)

async function save() {
  const { task } = props
  if (!task) return
  const days = typedNumber(form.days)
  if (form.mode === 'FIXED' && !Number.isInteger(days)) {
    refuse({ fixedDays: 'Enter a number of days.' })
    return
  }
  const fixedDays = form.mode === 'FIXED' ? days : undefined
  const setting = { version: task.version, mode: form.mode, fixedDays }
  if (await send(() => set.mutateAsync({ task: task.id, setting }))) emit('close')
}
</script>

<template>
  <el-dialog v-model="shown" :title="task?.name ?? ''" width="min(480px, 94vw)">
    <form v-if="task" id="task-setting" class="grid gap-3" novalidate @submit.prevent="save">
      <p>{{ task.catalogue.why }}</p>
      <ChoiceRow v-model="form.mode" legend="Interval" name="mode" :choices="MODE" />
      <NumberField
        v-if="form.mode === 'FIXED'"
        v-model="form.days"
        label="Every"
        name="fixedDays"
        unit="days"
        :error="errors.fixedDays"
      />
      <p class="quiet small">
        Starts at {{ task.catalogue.startDays }} days for a normal tank; learned within
        {{ task.catalogue.leastDays }} to {{ task.catalogue.mostDays }} days. About
        {{ task.catalogue.minutes }} min.
      </p>
      <p v-if="trouble && !Object.keys(errors).length" role="alert">{{ trouble }}</p>
    </form>
    <template #footer>
      <el-button type="primary" text @click="emit('close')">Cancel</el-button>
      <el-button type="primary" native-type="submit" form="task-setting" :disabled="sending">Save</el-button>
    </template>
  </el-dialog>
</template>
