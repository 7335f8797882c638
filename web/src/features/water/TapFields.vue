<script setup lang="ts">
import { texts } from './texts'
import { ref, watch } from 'vue'
import { useRights } from '@/features/account'
import MeasureField from '@/shared/components/MeasureField.vue'
import { useSending } from '@/shared/form'
import { typedNumber } from '@/shared/units'
import { useSaveTap, type Tap } from './queries'

/** What tap water brings, by its report or a test: without it a tank seems to make more or less than it does. */
const props = defineProps<{ tank: number; tap: Tap[] }>()

const LABEL: Record<string, string> = {
  NITRATE: texts.nitrateOfYourTap,
  PHOSPHATE: texts.phosphateOfYourTap,
}
const { mayKeep } = useRights()
const save = useSaveTap()
const { sending, errors, trouble, send, refuse } = useSending()
const typed = ref<Record<string, string>>({})
const alone = ref<Record<string, boolean>>({})

watch(
  () => props.tap,
  (tap) => {
    typed.value = Object.fromEntries(
      tap.map((one) => [one.parameter, one.amount === undefined ? '' : String(one.amount)]),
    )
    alone.value = Object.fromEntries(tap.map((one) => [one.parameter, one.ofTank]))
  },
  { immediate: true },
)

async function keep(one: Tap) {
  const amount = typedNumber(typed.value[one.parameter] ?? '')
  if (amount !== undefined && Number.isNaN(amount)) {
    refuse({ [one.parameter]: texts.thisIsNotA })
    return
  }
  const { parameter } = one
  const ofTank = alone.value[parameter] ? props.tank : undefined
  await send(async () => {
    if (one.ofTank && ofTank === undefined) await save.mutateAsync({ tankId: props.tank, parameter })
    await save.mutateAsync({ tankId: ofTank, parameter, amount })
  })
}

const hint = (one: Tap) => {
  if (one.amount === undefined) return texts.leaveBlankIfYouDont
  return one.ofTank ? texts.forThisTankOnly : texts.forAllYourTanks
}
</script>

<template>
  <details>
    <summary class="min-h-touch content-center text-herb font-600 cursor-pointer">
      {{ texts.yourTapWater }}
    </summary>
    <form
      v-for="one in tap"
      :key="one.parameter"
      class="grid gap-1 justify-items-start mt-2 mb-16px"
      novalidate
      @submit.prevent="keep(one)"
    >
      <MeasureField
        v-model="typed[one.parameter]!"
        :label="LABEL[one.parameter] ?? one.parameter"
        :name="one.parameter"
        quantity="CONCENTRATION"
        :hint="hint(one)"
        :error="errors[one.parameter] ?? errors.amount"
      />
      <el-checkbox v-model="alone[one.parameter]" size="large">{{ texts.onlyThisTankWhich }}</el-checkbox>
      <el-button v-if="mayKeep" native-type="submit" :disabled="sending">{{ texts.save }}</el-button>
    </form>
    <p v-if="trouble" role="alert">{{ trouble }}</p>
  </details>
</template>
