<script setup lang="ts">
import { texts } from './texts'
import { computed, reactive, ref, watch } from 'vue'
import { useSiteFilters } from '@/features/filter'
import { useTanks } from '@/features/tank'
import DayField from '@/shared/components/DayField.vue'
import NumberField from '@/shared/components/NumberField.vue'
import SelectField from '@/shared/components/SelectField.vue'
import TextField from '@/shared/components/TextField.vue'
import type { Schemas } from '@/shared/api/client'
import { today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { typedNumber } from '@/shared/units'
import DeviceToken from './DeviceToken.vue'
import { useFit } from './queries'
import { KINDS, onFilter, onStage, type Kind } from './words'

/** Fits a device: what it is, and where. Its token is shown once. */
const tanks = useTanks()
const fit = useFit()
const { sending, errors, trouble, send } = useSending()

const form = reactive({
  kind: undefined as Kind | undefined,
  name: '',
  tank: undefined as number | undefined,
  filter: undefined as number | undefined,
  stage: undefined as number | undefined,
  fittedOn: today(),
  quiet: '',
})
const made = ref<Schemas['DeviceToken']>()
const filters = useSiteFilters()
const ofTank = computed(() => (filters.data.value ?? []).filter((one) => one.tankId === form.tank))
const stages = computed(() => ofTank.value.find((one) => one.id === form.filter)?.stages ?? [])
watch(
  () => form.tank,
  () => {
    form.filter = undefined
    form.stage = undefined
  },
)

async function save() {
  const kind = form.kind
  const input = {
    kind: kind as Kind,
    name: form.name,
    tankId: form.tank as number,
    filterId: kind && onFilter(kind) ? form.filter : undefined,
    stageId: kind && onStage(kind) ? form.stage : undefined,
    fittedOn: form.fittedOn,
    quietMinutes: typedNumber(form.quiet),
  }
  const answer = await send(() => fit.mutateAsync(input))
  if (!answer?.token) return
  made.value = answer
  form.name = ''
}
</script>

<template>
  <section>
    <h2>{{ texts.fitADevice }}</h2>
    <DeviceToken v-if="made" :made="made" @done="made = undefined" />
    <form v-else class="grid gap-3 max-w-560px" novalidate @submit.prevent="save">
      <SelectField
        v-model="form.kind"
        :label="texts.whatItIs"
        name="kind"
        :choices="KINDS"
        :error="errors.kind"
      />
      <TextField v-model="form.name" :label="texts.whatYouCallIt" name="name" :error="errors.name" />
      <SelectField
        v-model="form.tank"
        :label="texts.tank"
        name="tankId"
        :choices="(tanks.data.value ?? []).map((one) => ({ value: one.id, label: one.tank.name }))"
        :error="errors.tankId"
      />
      <SelectField
        v-if="form.kind && onFilter(form.kind)"
        v-model="form.filter"
        :label="texts.filter"
        name="filterId"
        :choices="ofTank.map((one) => ({ value: one.id, label: one.name }))"
        :error="errors.filterId"
      />
      <SelectField
        v-if="form.kind && onStage(form.kind)"
        v-model="form.stage"
        :label="texts.stage"
        name="stageId"
        :choices="stages.map((one) => ({ value: one.id, label: one.name }))"
        :error="errors.stageId"
      />
      <DayField
        v-model="form.fittedOn"
        :label="texts.fittedOn"
        name="fittedOn"
        :max="today()"
        :error="errors.fittedOn"
      />
      <NumberField
        v-model="form.quiet"
        :label="texts.maySayNothingFor"
        name="quietMinutes"
        :unit="texts.min"
        :hint="texts.leftEmptyAsLong"
        :error="errors.quietMinutes"
      />
      <p v-if="trouble && !Object.keys(errors).length" class="trouble" role="alert">{{ trouble }}</p>
      <el-button type="primary" native-type="submit" :loading="sending">{{ texts.fitIt }}</el-button>
    </form>
  </section>
</template>
