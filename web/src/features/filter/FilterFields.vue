<script setup lang="ts">
import { texts } from './texts'
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
      :legend="texts.kindOfFilter"
      name="kind"
      :choices="FILTER_KIND"
      :error="errors.kind"
    />
    <div class="grid cols-[repeat(auto-fit,minmax(180px,1fr))] gap-3">
      <TextField
        v-model="form.name"
        :label="texts.name"
        name="name"
        :hint="texts.whatYouCallIt"
        :error="errors.name"
      />
      <DayField
        v-model="form.fittedOn"
        :label="texts.fittedOn"
        name="fittedOn"
        :max="now"
        :hint="texts.leaveBlankIfYou"
        :error="errors.fittedOn"
      />
    </div>
    <ChoiceRow
      v-model="form.cleaned"
      :legend="existing ? texts.lastCleanedBeforeAnything : texts.whenWasItLast"
      name="cleaned"
      :choices="CLEANED"
    />
    <DayField
      v-if="form.cleaned === 'KNOWN' || form.cleaned === 'ABOUT'"
      v-model="form.careFrom"
      :label="texts.lastCleaned"
      name="careFrom"
      :max="now"
      :error="errors.careFrom"
    />
    <ChoiceRow
      v-if="form.kind === 'CANISTER' || form.kind === 'UV_UNIT'"
      v-model="form.shutOff"
      :legend="texts.itsHosesAreShut"
      name="shutOff"
      :choices="SHUT_OFF"
    />
    <ChoiceRow
      v-if="form.kind === 'CANISTER'"
      v-model="form.fill"
      :legend="texts.onceOpenedItIs"
      name="fill"
      :choices="FILL"
    />
    <ChoiceRow
      v-if="form.kind === 'CANISTER'"
      v-model="form.direction"
      :legend="texts.waterRuns"
      name="direction"
      :choices="DIRECTION"
    />
    <fieldset>
      <legend class="p-0 mb-6px font-600">{{ texts.waterPathInThe }}</legend>
      <PathEditor v-model="form.stages" :errors="errors" />
    </fieldset>
    <details :open="existing || undefined">
      <summary class="mb-6px font-600 cursor-pointer text-herb min-h-44px content-center">
        {{ texts.whatItsPlateSays }}
      </summary>
      <div class="grid cols-[repeat(auto-fit,minmax(180px,1fr))] gap-3">
        <MeasureField
          v-model="form.flowLph"
          :label="texts.ratedFlow"
          name="rating.flowLph"
          quantity="FLOW"
          :error="errors['rating.flowLph']"
        />
        <NumberField
          v-model="form.powerW"
          :label="texts.power"
          name="rating.powerW"
          unit="W"
          :error="errors['rating.powerW']"
        />
        <MeasureField
          v-model="form.maxHeadM"
          :label="texts.maximumHead"
          name="rating.maxHeadM"
          quantity="LENGTH"
          :error="errors['rating.maxHeadM']"
        />
        <MeasureField
          v-model="form.liftM"
          :label="texts.liftHere"
          name="rating.liftM"
          quantity="LENGTH"
          :error="errors['rating.liftM']"
        />
      </div>
    </details>
  </div>
</template>
