<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { useFilters } from '@/features/filter'
import MeasureField from '@/shared/components/MeasureField.vue'
import TextField from '@/shared/components/TextField.vue'
import { today, type Day } from '@/shared/dates'
import { inOurUnits, mass, typedNumber } from '@/shared/units'
import { useMediaVerdict, type MediaPlan } from './queries'

/** Which bio media and how much of it, with what the rule says as it is typed. */
const props = defineProps<{ tank: number; on?: Day; errors: Record<string, string> }>()
const stage = defineModel<number | undefined>('stage', { required: true })
const grams = defineModel<string>('grams', { required: true })
const reason = defineModel<string>('reason', { required: true })

const filters = useFilters(() => props.tank)
const media = computed(() =>
  (filters.data.value ?? []).flatMap((filter) =>
    filter.stages
      .filter((one) => one.kind === 'BIO_MEDIA')
      .map((one) => ({ ...one, words: texts.in(one.name, filter.name) })),
  ),
)
const plan = computed<MediaPlan | undefined>(() => {
  const typed = typedNumber(grams.value)
  return stage.value !== undefined && typed !== undefined && typed >= 1
    ? { stageId: stage.value, grams: typed }
    : undefined
})
const verdict = useMediaVerdict(
  () => props.tank,
  plan,
  () => props.on ?? today(),
)
const against = computed(
  () =>
    (verdict.data.value !== undefined &&
      (!verdict.data.value.within || verdict.data.value.holds.length > 0)) ||
    Boolean(props.errors['media.grams'] ?? props.errors.overrideReason),
)
</script>

<template>
  <fieldset class="grid gap-10px">
    <legend class="font-600">{{ texts.bioMediaToReplace }}</legend>
    <p v-if="media.length === 0" class="quiet">{{ texts.noFilterOfThis }}</p>
    <el-radio-group v-model="stage" :aria-label="texts.bioMediaToReplace">
      <el-radio v-for="one in media" :key="one.id" :value="one.id" class="pick w-full h-auto min-h-touch">
        {{ one.words }}<span v-if="one.massG" class="quiet">, {{ mass(one.massG) }}</span>
      </el-radio>
    </el-radio-group>
    <MeasureField
      v-model="grams"
      :label="texts.newMedia"
      name="media.grams"
      quantity="MASS"
      :error="errors['media.grams'] ?? errors['media.stageId']"
    />
    <template v-if="verdict.data.value && plan">
      <p :class="verdict.data.value.within ? 'good' : 'bad'" role="status">
        <b>{{ verdict.data.value.within ? texts.withinTheRule : texts.moreThanTheRule }}</b>
        {{ inOurUnits(verdict.data.value.told) }}
      </p>
      <p v-if="verdict.data.value.spacing" class="bad" role="status">{{ verdict.data.value.spacing }}</p>
      <p v-for="hold in verdict.data.value.holds" :key="hold" class="bad" role="status">
        {{ inOurUnits(hold) }}
      </p>
    </template>
    <TextField
      v-if="against"
      v-model="reason"
      :label="texts.whyYouAreDoing"
      name="overrideReason"
      type="textarea"
      :hint="texts.keptWithTheRecord"
      :error="errors.overrideReason"
    />
  </fieldset>
</template>

<style scoped>
.good,
.bad {
  padding: 8px 14px;
  border-left: 5px solid var(--herb);
  background: var(--herb-soft);
}

.bad {
  border-color: var(--plum);
  background: var(--plum-soft);
}
</style>
