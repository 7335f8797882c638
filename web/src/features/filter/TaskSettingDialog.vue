<script setup lang="ts">
import { texts } from './texts'
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
  { value: 'LEARN', label: texts.learn, hint: texts.whatIsFoundMoves },
  { value: 'FIXED', label: texts.fixed, hint: texts.theSameDaysEvery },
  { value: 'OFF', label: texts.off, hint: texts.notAskedForIt },
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
    refuse({ fixedDays: texts.enterANumberOf })
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
      <ChoiceRow v-model="form.mode" :legend="texts.interval" name="mode" :choices="MODE" />
      <NumberField
        v-if="form.mode === 'FIXED'"
        v-model="form.days"
        :label="texts.every"
        name="fixedDays"
        :unit="texts.days"
        :error="errors.fixedDays"
      />
      <p class="quiet small">
        {{
          texts.startsAtDaysFor(
            task.catalogue.startDays,
            task.catalogue.leastDays,
            task.catalogue.mostDays,
            task.catalogue.minutes,
          )
        }}
      </p>
      <p v-if="trouble && !Object.keys(errors).length" role="alert">{{ trouble }}</p>
    </form>
    <template #footer>
      <el-button type="primary" text @click="emit('close')">{{ texts.cancel }}</el-button>
      <el-button type="primary" native-type="submit" form="task-setting" :disabled="sending">{{
        texts.save
      }}</el-button>
    </template>
  </el-dialog>
</template>
