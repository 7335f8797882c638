<script setup lang="ts">
import { ref, watch } from 'vue'
import TextField from '@/shared/components/TextField.vue'
import { useSending } from '@/shared/form'
import { typedNumber } from '@/shared/units'
import { useSaveTap, type Tap } from './queries'

/** What tap water brings, by its report or a test: without it a tank seems to make more or less than it does. */
const props = defineProps<{ tap: Tap[] }>()

const LABEL: Record<string, string> = {
  NITRATE: 'Nitrate of your tap water',
  PHOSPHATE: 'Phosphate of your tap water',
}
const save = useSaveTap()
const { sending, errors, trouble, send, refuse } = useSending()
const typed = ref<Record<string, string>>({})

watch(
  () => props.tap,
  (tap) => {
    typed.value = Object.fromEntries(
      tap.map((one) => [one.parameter, one.amount === undefined ? '' : String(one.amount)]),
    )
  },
  { immediate: true },
)

async function keep(one: Tap) {
  const amount = typedNumber(typed.value[one.parameter] ?? '')
  if (amount !== undefined && Number.isNaN(amount)) {
    refuse({ [one.parameter]: 'This is not a number.' })
    return
  }
  await send(() => save.mutateAsync({ parameter: one.parameter, amount }))
}
</script>

<template>
  <details>
    <summary>Your tap water</summary>
    <form v-for="one in tap" :key="one.parameter" novalidate @submit.prevent="keep(one)">
      <TextField
        v-model="typed[one.parameter]!"
        :label="LABEL[one.parameter] ?? one.parameter"
        :name="one.parameter"
        type="number"
        unit="mg/L"
        :hint="one.amount === undefined ? 'Leave blank if nobody knows' : 'For all your tanks'"
        :error="errors[one.parameter] ?? errors.amount"
      />
      <el-button native-type="submit" :disabled="sending">Save</el-button>
    </form>
    <p v-if="trouble" role="alert">{{ trouble }}</p>
  </details>
</template>

<style scoped>
form {
  display: flex;
  gap: 8px;
  align-items: end;
  margin-top: 8px;
}

summary {
  min-height: var(--touch);
  align-content: center;
  color: var(--herb);
  font-weight: 600;
  cursor: pointer;
}
</style>
