<script setup lang="ts">
import { texts } from './texts'
import { computed, reactive } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { litresAMmOf, sumAt, useKept } from '@/features/sums'
import { useTank } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import FormPage from '@/shared/components/FormPage.vue'
import MomentField from '@/shared/components/MomentField.vue'
import MeasureField from '@/shared/components/MeasureField.vue'
import NumberField from '@/shared/components/NumberField.vue'
import TextField from '@/shared/components/TextField.vue'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { say, typedNumber } from '@/shared/units'
import ChangeEffects from './ChangeEffects.vue'
import { useLogChange, useRemoveChange, useWater } from './queries'
import { useUnits } from './units'
import { newId } from '@/shared/ids'

/** At the tank: log a water change; rinse buckets count into it. */
const props = defineProps<{ tank: number }>()

const route = useRoute()
const router = useRouter()
const tank = useTank(() => props.tank)
const water = useWater(() => props.tank)
const log = useLogChange(() => props.tank)
const remove = useRemoveChange()
const { sending, errors, trouble, asks, send, refuse } = useSending()
const { words } = useUnits()
const CELSIUS = { unit: '°C' }

const buckets = Number(route.query.buckets ?? 0)
/** What the bench worked out and handed over, in stored units. */
const handed = (name: string) => {
  const value = Number(route.query[name] ?? '')
  return value > 0 ? String(Number(value.toPrecision(6))) : ''
}
const form = reactive({
  id: newId(),
  way: 'LITRES' as 'LITRES' | 'SHARE',
  amount: handed('litres') || (buckets ? String(buckets) : ''),
  share: '',
  at: '',
  conditioner: handed('conditioner'),
  dosedFor: (route.query.dosedFor === 'WHOLE_TANK' ? 'WHOLE_TANK' : 'NEW_WATER') as
    'NEW_WATER' | 'WHOLE_TANK',
  temperature: handed('temperature'),
  note: '',
})
const volume = computed(() => tank.data.value?.tank.netVolumeL ?? 0)
const litres = computed(() => {
  if (form.way === 'LITRES') return typedNumber(form.amount)
  const share = typedNumber(form.share)
  return share === undefined ? undefined : (share / 100) * volume.value
})
const known = computed(() => (Number.isFinite(litres.value) ? litres.value : undefined))
const share = computed(() =>
  known.value && volume.value ? Number((known.value / volume.value).toPrecision(4)) : undefined,
)
const kept = useKept(() => props.tank)
const litresAMm = computed(() => litresAMmOf(kept.data.value ?? []))
const tankTemperature = computed(() =>
  water.data.value?.last.find((reading) => reading.parameter === 'TEMPERATURE'),
)

async function save(confirmed = false) {
  const conditioner = typedNumber(form.conditioner)
  const warm = typedNumber(form.temperature)
  const amiss: Record<string, string> = {}
  if (litres.value === undefined) amiss.litres = texts.howMuchWater
  else if (Number.isNaN(litres.value)) amiss.litres = texts.thisIsNotA
  if (Number.isNaN(conditioner)) amiss.conditionerMl = texts.thisIsNotA
  if (Number.isNaN(warm)) amiss.newWaterC = texts.thisIsNotA
  if (Object.keys(amiss).length || litres.value === undefined) {
    refuse(amiss)
    return
  }
  const change = {
    changedAt: (form.at ? new Date(form.at) : new Date()).toISOString(),
    litres: litres.value,
    bucketLitres: Math.min(buckets, litres.value),
    conditionerMl: conditioner,
    dosedFor: conditioner === undefined ? undefined : form.dosedFor,
    newWaterC: warm,
    note: form.note,
    confirmed,
  }
  const saved = await send(() => log.mutateAsync({ id: form.id, change }))
  if (!saved) return
  offerUndo(texts.waterChangeLogged, () => remove.mutateAsync(saved.id))
  await router.push({ name: 'tank-water', params: { tank: props.tank } })
}
</script>

<template>
  <AsyncState
    :pending="tank.isPending.value"
    :error="lacking(tank)"
    :what="texts.theTank"
    @retry="tank.refetch()"
  >
    <FormPage
      :title="texts.waterChange(tank.data.value?.tank.name ?? '')"
      :action="asks ? texts.logWhatIChanged : texts.logTheChange"
      :sending="sending"
      :trouble="trouble"
      @submit="save()"
    >
      <ChoiceRow
        v-model="form.way"
        :legend="texts.howMuch"
        name="way"
        :choices="[
          { value: 'LITRES', label: texts.byVolume },
          { value: 'SHARE', label: texts.byShare },
        ]"
      />
      <MeasureField
        v-if="form.way === 'LITRES'"
        v-model="form.amount"
        :label="texts.waterChanged"
        name="litres"
        quantity="VOLUME"
        :hint="texts.rinseBucketsCountTowards"
        :error="errors.litres"
      />
      <NumberField
        v-else
        v-model="form.share"
        :label="texts.shareChanged"
        name="litres"
        unit="%"
        :hint="texts.rinseBucketsCountTowards"
        :error="errors.litres"
      />
      <p v-if="buckets" class="quiet">
        {{ texts.wentIntoRinseBuckets(say('VOLUME', buckets)) }}
      </p>
      <MeasureField
        v-model="form.conditioner"
        :label="texts.conditioner"
        name="conditionerMl"
        quantity="DOSE"
        :hint="texts.theProductsLabelDecides"
        :error="errors.conditionerMl"
      />
      <RouterLink class="sum" :to="sumAt('conditioner', props.tank, { newL: known })">{{
        texts.howMuchConditioner
      }}</RouterLink>
      <ChoiceRow
        v-if="form.conditioner"
        v-model="form.dosedFor"
        :legend="texts.dosedFor"
        name="dosedFor"
        :choices="[
          { value: 'NEW_WATER', label: texts.theNewWater, hint: texts.treatedBeforeItGoes },
          {
            value: 'WHOLE_TANK',
            label: texts.theWholeTank,
            hint: texts.dosedIntoTheTank,
          },
        ]"
        :error="errors.dosedFor"
      />
      <MeasureField
        v-model="form.temperature"
        :label="texts.newWaterAt"
        name="newWaterC"
        quantity="TEMPERATURE"
        :hint="tankTemperature ? texts.theTankWasAt(words(tankTemperature, CELSIUS)) : texts.matchTheTank"
        :error="errors.newWaterC"
      />
      <RouterLink class="sum" :to="sumAt('mix', props.tank, { litres: known, share })">{{
        texts.howMuchHotWater
      }}</RouterLink>
      <MomentField
        v-model="form.at"
        :label="texts.when"
        name="changedAt"
        :hint="texts.leaveBlankForNow"
        :error="errors.changedAt"
      />
      <TextField v-model="form.note" :label="texts.note" name="note" type="textarea" :error="errors.note" />
      <p v-if="asks" class="trouble" role="alert">
        {{ texts.pleaseCheckItAgain }}
      </p>
      <template #beside>
        <el-button v-if="asks" :disabled="sending" @click="save(true)">{{ texts.itsRightLogIt }}</el-button>
      </template>
      <template #aside>
        <ChangeEffects
          :volume="volume"
          :litres="litres"
          :litres-a-mm="litresAMm"
          :new-c="typedNumber(form.temperature)"
          :last="water.data.value?.last ?? []"
          :tap="water.data.value?.tap ?? []"
        />
      </template>
    </FormPage>
  </AsyncState>
</template>
