<script setup lang="ts">
import { watch } from 'vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import DayField from '@/shared/components/DayField.vue'
import MeasureField from '@/shared/components/MeasureField.vue'
import NumberField from '@/shared/components/NumberField.vue'
import TextField from '@/shared/components/TextField.vue'
import { today } from '@/shared/dates'
import { CLEANED, DIRECTION, FILL, FILTER_KIND, SHUT_OFF } from '@/shared/words'
import { pathOf, type FilterForm } from './form'
import PathEditor from './PathEditor.vue'
import { useTemplates } from './queries'

/** The fields of a filter. A new one starts from the template of its kind. */
const props = defineProps<{ errors: Record<string, string>; existing: boolean }>()
const form = defineModel<FilterForm>({ required: true })

const FILLED_BY: Record<FilterForm['direction'], FilterForm['fill']> = {
  BOTTOM_UP: 'OPEN_TOP',
  TOP_DOWN: 'SELF',
  SIDE_THEN_TRAYS: 'PRIMER',
  TWO_CHAMBER: 'CAP',
}

const templates = useTemplates()
const now = today()

watch(
  () => form.value.direction,
  (direction) => {
    if (!props.existing) form.value.fill = FILLED_BY[direction]
  },
  { immediate: true },
)
watch(
  [() => form.value.kind, templates.data],
  ([kind], [before]) => {
    const template = templates.data.value?.find((one) => one.kind === kind)
    const untouched = form.value.stages.length === 0
    if (!props.existing && template && (untouched || kind !== before)) form.value.stages = pathOf(template)
  },
  { immediate: true },
)
</script>

<template>
  <div class="grid gap-4">
    <ChoiceRow
      v-if="!existing"
      v-model="form.kind"
      legend="Kind of filter"
      name="kind"
      :choices="FILTER_KIND"
      :error="errors.kind"
    />
    <div class="grid cols-[repeat(auto-fit,minmax(180px,1fr))] gap-3">
      <TextField v-model="form.name" label="Name" name="name" hint="What you call it" :error="errors.name" />
      <DayField
        v-model="form.fittedOn"
        label="Fitted on"
        name="fittedOn"
        :max="now"
        hint="Leave blank if you don’t know"
        :error="errors.fittedOn"
      />
    </div>
    <ChoiceRow
      v-model="form.cleaned"
      :legend="existing ? 'Last cleaned, before anything was logged here' : 'When was it last cleaned?'"
      name="cleaned"
      :choices="CLEANED"
    />
    <DayField
      v-if="form.cleaned === 'KNOWN' || form.cleaned === 'ABOUT'"
      v-model="form.careFrom"
      label="Last cleaned"
      name="careFrom"
      :max="now"
      :error="errors.careFrom"
    />
    <ChoiceRow
      v-if="form.kind === 'CANISTER' || form.kind === 'UV_UNIT'"
      v-model="form.shutOff"
      legend="Its hoses are shut by"
      name="shutOff"
      :choices="SHUT_OFF"
    />
    <ChoiceRow
      v-if="form.kind === 'CANISTER'"
      v-model="form.fill"
      legend="Once opened, it is filled"
      name="fill"
      :choices="FILL"
    />
    <ChoiceRow
      v-if="form.kind === 'CANISTER'"
      v-model="form.direction"
      legend="Water runs"
      name="direction"
      :choices="DIRECTION"
    />
    <fieldset>
      <legend class="p-0 mb-6px font-600">Water path, in the order water meets it</legend>
      <PathEditor v-model="form.stages" :errors="errors" />
    </fieldset>
    <details :open="existing || undefined">
      <summary class="mb-6px font-600 cursor-pointer text-herb min-h-44px content-center">
        What its plate says
      </summary>
      <div class="grid cols-[repeat(auto-fit,minmax(180px,1fr))] gap-3">
        <MeasureField
          v-model="form.flowLph"
          label="Rated flow"
          name="rating.flowLph"
          quantity="FLOW"
          :error="errors['rating.flowLph']"
        />
        <NumberField
          v-model="form.powerW"
          label="Power"
          name="rating.powerW"
          unit="W"
          :error="errors['rating.powerW']"
        />
        <MeasureField
          v-model="form.maxHeadM"
          label="Maximum head"
          name="rating.maxHeadM"
          quantity="LENGTH"
          :error="errors['rating.maxHeadM']"
        />
        <MeasureField
          v-model="form.liftM"
          label="Lift here"
          name="rating.liftM"
          quantity="LENGTH"
          :error="errors['rating.liftM']"
        />
      </div>
    </details>
  </div>
</template>
