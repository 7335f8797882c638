<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import MeasureField from '@/shared/components/MeasureField.vue'
import SelectField from '@/shared/components/SelectField.vue'
import TextField from '@/shared/components/TextField.vue'
import { PACKING, PLACE_KIND, stageWord } from '@/shared/words'
import MoveButtons from './MoveButtons.vue'
import { moved, type ChamberForm, type ContentForm, type PlaceForm } from './inside'
import type { Filter } from './queries'

/** One place of a chamber, and what lies in it. */
const props = defineProps<{
  /** Its number from the top, from zero. */
  number: number
  /** The path of its fields. */
  at: string
  chamber: ChamberForm
  stages: Filter['stages']
  choices: { value: number; label: string; hint?: string }[]
  errors: Record<string, string>
}>()
const emit = defineEmits<{ move: [by: number]; remove: []; put: [stage: number] }>()
const place = defineModel<PlaceForm>({ required: true })

const nameOf = (content: ContentForm) => props.stages[content.stage]?.name ?? ''
const isLoose = (content: ContentForm) =>
  content.packing === 'LOOSE' && stageWord(props.stages[content.stage]?.kind ?? 'BIO_MEDIA').measuredByMass
const misplaced = computed(() =>
  Object.entries(props.errors)
    .filter(([field]) => field.startsWith(`${props.at}.contents`) && field.endsWith('stage'))
    .map(([, message]) => message),
)

/** What lies on a tray if nobody says otherwise: the trays above it. On a cage, or part of the housing, lies nothing. */
const UNDER = [
  { value: 'USUAL', label: texts.allTraysAboveIt },
  { value: 'NOTHING', label: texts.nothing },
]
const underChoices = computed(() => [
  ...(place.value.kind === 'TRAY' ? UNDER : [{ value: 'USUAL', label: texts.nothing }]),
  ...props.chamber.places
    .filter((one) => one.key !== place.value.key)
    .map((one) => ({ value: String(one.key), label: texts.only(one.name || texts.aPlaceWithoutA) })),
])
const under = computed({
  get: () =>
    Array.isArray(place.value.under) ? String(place.value.under.at(-1) ?? 'NOTHING') : place.value.under,
  set: (chosen) => {
    place.value.under = chosen === 'NOTHING' || chosen === 'USUAL' ? chosen : [Number(chosen)]
  },
})
</script>

<template>
  <div class="place grid gap-3 mb-3 py-12px px-3 edge-line rounded">
    <div class="flex gap-6px items-end">
      <TextField
        v-model="place.name"
        class="flex-1 min-w-0"
        :label="texts.placeCountedFromThe(number + 1)"
        :name="`${at}.name`"
        :error="errors[`${at}.name`]"
      />
      <MoveButtons
        :what="place.name"
        :first="number === 0"
        :last="number === chamber.places.length - 1"
        @move="(by) => emit('move', by)"
      />
      <el-button
        class="min-w-44px py-0 px-12px"
        type="primary"
        text
        :aria-label="texts.remove2(place.name)"
        @click="emit('remove')"
        >×</el-button
      >
    </div>
    <div class="grid cols-[repeat(auto-fit,minmax(170px,1fr))] gap-3">
      <SelectField
        v-model="place.kind"
        :label="texts.whatItIs"
        :name="`${at}.kind`"
        :choices="PLACE_KIND"
        :error="errors[`${at}.kind`]"
      />
      <SelectField
        v-model="under"
        :label="texts.liftedBeforeIt"
        :name="`${at}.under`"
        :choices="underChoices"
        :error="errors[`${at}.under`]"
      />
      <MeasureField
        v-model="place.holeMm"
        :label="texts.widthOfItsHoles"
        :name="`${at}.holeMm`"
        quantity="SIZE"
        :hint="texts.leaveBlankIfYou"
        :error="errors[`${at}.holeMm`]"
      />
    </div>
    <el-checkbox v-if="place.kind !== 'FIXED'" v-model="place.emptiedInPlace">
      {{ texts.iCanTakeThings }}
    </el-checkbox>
    <ol>
      <li v-for="(content, j) in place.contents" :key="content.key">
        <div class="flex gap-6px items-center">
          <b class="flex-1 min-w-0">{{ nameOf(content) }}</b>
          <SelectField
            v-model="content.packing"
            class="w-130px"
            :label="texts.howIsPacked(nameOf(content))"
            :name="`${at}.contents[${String(j)}].packing`"
            :choices="PACKING"
            bare
          />
          <MoveButtons
            :what="nameOf(content)"
            :first="j === 0"
            :last="j === place.contents.length - 1"
            @move="(by) => (place.contents = moved(place.contents, j, by))"
          />
        </div>
        <div v-if="isLoose(content)" class="grid cols-[repeat(auto-fit,minmax(170px,1fr))] gap-3">
          <MeasureField
            v-model="content.grainMm"
            :label="texts.sizeOfAGrain"
            :name="`${at}.contents[${String(j)}].grainMm`"
            quantity="SIZE"
            :hint="texts.itMustNotPass"
            :error="errors[`${at}.contents[${String(j)}].grainMm`]"
          />
          <MeasureField
            v-model="content.litres"
            :label="texts.roomItTakesUp"
            :name="`${at}.contents[${String(j)}].litres`"
            quantity="VOLUME"
            :error="errors[`${at}.contents[${String(j)}].litres`]"
          />
        </div>
      </li>
    </ol>
    <p v-for="message in misplaced" :key="message" class="error" role="alert">{{ message }}</p>
    <SelectField
      :model-value="undefined"
      :label="texts.putInto(place.name || texts.thisPlace)"
      :name="`${at}.put`"
      :placeholder="texts.putSomethingHere"
      :choices="choices"
      bare
      @update:model-value="(stage) => stage !== undefined && emit('put', stage)"
    />
  </div>
</template>
