<script setup lang="ts">
import { texts } from './texts'
import { computed, reactive, ref } from 'vue'
import DayField from '@/shared/components/DayField.vue'
import MeasureField from '@/shared/components/MeasureField.vue'
import NumberField from '@/shared/components/NumberField.vue'
import { shortDay, today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { numberWords, say, typedNumber } from '@/shared/units'
import { useDropLook, useLooks, useSaveLook, type Forecast } from './queries'
import { newId } from '@/shared/ids'

/** What a look between services told, and a place to log the next: one tap, or a number. */
const props = defineProps<{ forecast: Forecast }>()

type Sign = Forecast['signs'][number]

const looks = useLooks(() => props.forecast.subject.tankId)
const save = useSaveLook()
const drop = useDropLook()
const { sending, errors, trouble, send, refuse } = useSending()

const now = today()
const form = reactive({ on: now, amount: '' })
const measuring = ref<Sign>()
const of = computed(() =>
  (looks.data.value ?? []).filter((look) => look.stageId === props.forecast.subject.stageId),
)
function amountWords(sign: string, amount: number) {
  const unit = props.forecast.signs.find((one) => one.sign === sign)?.unit
  if (unit === 'METRES') return say('LENGTH', amount)
  return unit === 'HOURS' ? `${numberWords(amount, 0)} h` : `${String(amount)} %`
}

async function log(sign: Sign) {
  const amount = typedNumber(form.amount)
  if (sign.unit !== 'NONE' && (amount === undefined || Number.isNaN(amount))) {
    measuring.value = sign
    if (form.amount) refuse({ amount: texts.thisIsNotA })
    return
  }
  const id = newId()
  const look = {
    stageId: props.forecast.subject.stageId ?? 0,
    on: form.on,
    sign: sign.sign,
    amount: sign.unit === 'NONE' ? undefined : amount,
  }
  if (!(await send(() => save.mutateAsync({ id, look })))) return
  Object.assign(form, { on: now, amount: '' })
  measuring.value = undefined
  offerUndo('Logged.', () => drop.mutateAsync(id))
}
</script>

<template>
  <section aria-labelledby="looks">
    <h2 id="looks">{{ texts.whatDoYouSee }}</h2>
    <p class="small quiet">{{ texts.whatYouNoticeBetween }}</p>
    <div class="flex flex-wrap gap-2 my-10px">
      <el-button
        v-for="sign in forecast.signs"
        :key="sign.sign"
        class="min-h-touch"
        :disabled="sending"
        :aria-pressed="sign === measuring"
        @click="log(sign)"
      >
        {{ sign.words }}
      </el-button>
    </div>
    <form v-if="measuring" class="measure flex gap-12px items-end" @submit.prevent="log(measuring)">
      <MeasureField
        v-if="measuring.unit === 'METRES'"
        v-model="form.amount"
        :label="measuring.words"
        name="amount"
        quantity="LENGTH"
        :error="errors.amount"
      />
      <NumberField
        v-else
        v-model="form.amount"
        :label="measuring.words"
        name="amount"
        :unit="measuring.unit === 'HOURS' ? 'h' : '%'"
        :error="errors.amount"
      />
      <el-button type="primary" native-type="submit" :disabled="sending">{{ texts.logIt }}</el-button>
    </form>
    <DayField v-model="form.on" :label="texts.seenOn" name="on" :max="now" :error="errors.on" />
    <p v-if="trouble && !Object.keys(errors).length" role="alert">{{ trouble }}</p>
    <p v-if="looks.isError.value" role="alert">{{ texts.whatWasSeenBefore }}</p>
    <ul v-if="of.length" :aria-label="texts.seenBefore">
      <li
        v-for="look in of.slice(0, 8)"
        :key="look.id"
        class="grid cols-[84px_1fr_auto] gap-12px py-2 edge-b-hair"
      >
        <span class="quiet">{{ shortDay(look.on) }}</span>
        <span>
          {{ look.words
          }}<template v-if="look.amount !== undefined">: {{ amountWords(look.sign, look.amount) }}</template>
        </span>
        <span class="small quiet">{{ look.lookedBy }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section > :deep(.field) {
  max-width: 200px;
}
</style>
