<script setup lang="ts">
import { texts } from './texts'
import { computed, reactive } from 'vue'
import { useFilters } from '@/features/filter'
import DayField from '@/shared/components/DayField.vue'
import MeasureField from '@/shared/components/MeasureField.vue'
import NumberField from '@/shared/components/NumberField.vue'
import SelectField from '@/shared/components/SelectField.vue'
import { today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { newId } from '@/shared/ids'
import { mass, typedNumber } from '@/shared/units'
import { Problem } from '@/shared/problem'
import PortionList from './PortionList.vue'
import { useBeginExchange, useExchangePlan, type ExchangeInput } from './queries'
import { MEDIA, type Medium } from './words'

/** An exchange before it begins: what, in how many portions, and how it would go. */
const props = defineProps<{ tank: number }>()

const filters = useFilters(() => props.tank)
const begin = useBeginExchange()
const { sending, errors, trouble, send, refuse } = useSending()
const form = reactive({
  id: newId(),
  stage: undefined as number | undefined,
  grams: '',
  portions: '3',
  first: today(),
  oldKind: undefined as Medium | undefined,
  newKind: undefined as Medium | undefined,
})

const stages = computed(() =>
  (filters.data.value ?? []).flatMap((filter) =>
    filter.stages
      .filter((one) => one.kind === 'BIO_MEDIA')
      .map((one) => ({
        value: one.id,
        label: texts.of2(one.name, filter.name, one.massG ? `, ${mass(one.massG)}` : ''),
      })),
  ),
)
const input = computed<ExchangeInput | undefined>(() => {
  const grams = typedNumber(form.grams)
  const portions = typedNumber(form.portions)
  if (form.stage === undefined || grams === undefined || !(grams >= 1)) return undefined
  if (portions === undefined || !Number.isInteger(portions) || portions < 1 || portions > 12) return undefined
  return {
    stageId: form.stage,
    grams,
    portions,
    firstOn: form.first,
    oldKind: form.oldKind,
    newKind: form.newKind,
  }
})
const plan = useExchangePlan(() => props.tank, input)
const against = computed(() => (plan.error.value instanceof Problem ? plan.error.value.byField : {}))
const wrong = computed(() => ({ ...against.value, ...errors.value }))

async function save() {
  if (!input.value) {
    const portions = typedNumber(form.portions) ?? 0
    refuse({
      ...(form.stage === undefined && { stageId: texts.whichMedia }),
      ...(!((typedNumber(form.grams) ?? 0) >= 1) && { grams: texts.howMuchOfIt }),
      ...(!(Number.isInteger(portions) && portions >= 1 && portions <= 12) && {
        portions: texts.aWholeNumber1,
      }),
    })
    return
  }
  const sent = input.value
  await send(() => begin.mutateAsync({ tank: props.tank, id: form.id, input: sent }))
}
</script>

<template>
  <div class="grid cols-[minmax(0,480px)_1] gap-36px max-half:cols-1">
    <form class="grid gap-3 content-start" novalidate @submit.prevent="save">
      <p class="quiet">
        {{ texts.oldMediaGoesA }}
      </p>
      <p v-if="filters.data.value && stages.length === 0">{{ texts.noFilterOfThis }}</p>
      <SelectField
        v-model="form.stage"
        :label="texts.media"
        name="stageId"
        :choices="stages"
        :error="wrong.stageId"
      />
      <MeasureField
        v-model="form.grams"
        :label="texts.howMuchOfItGoes"
        name="grams"
        quantity="MASS"
        :error="wrong.grams"
      />
      <NumberField v-model="form.portions" :label="texts.portions" name="portions" :error="wrong.portions" />
      <DayField v-model="form.first" :label="texts.firstPortion" name="firstOn" :error="wrong.firstOn" />
      <SelectField
        v-model="form.oldKind"
        :label="texts.theOldIsMade"
        name="oldKind"
        :hint="texts.onlyWhereTheNew"
        :choices="MEDIA"
        :error="wrong.oldKind"
      />
      <SelectField
        v-model="form.newKind"
        :label="texts.theNewIsMade"
        name="newKind"
        :choices="MEDIA"
        :error="wrong.newKind"
      />
      <p v-if="trouble && !Object.keys(errors).length" class="trouble" role="alert">{{ trouble }}</p>
      <el-button type="primary" native-type="submit" :loading="sending">{{
        texts.beginTheExchange
      }}</el-button>
    </form>
    <section v-if="plan.data.value && input" :aria-label="texts.howItWouldGo">
      <h2>{{ texts.howItWouldGo }}</h2>
      <PortionList :portions="plan.data.value.portions" :done="0" />
      <p v-for="one in plan.data.value.told" :key="one" class="small">{{ one }}</p>
    </section>
  </div>
</template>
