<script setup lang="ts">
import { computed, reactive } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useTank } from '@/features/tank'
import AsyncState from '@/shared/components/AsyncState.vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import TextField from '@/shared/components/TextField.vue'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { typedNumber, withUnit } from '@/shared/units'
import { useLogChange, useRemoveChange, useWater } from './queries'
import { useUnits } from './units'

/** At the tank: log a water change; rinse buckets count into it. */
const props = defineProps<{ tank: number }>()

const route = useRoute()
const router = useRouter()
const tank = useTank(() => props.tank)
const water = useWater(() => props.tank)
const log = useLogChange(() => props.tank)
const remove = useRemoveChange()
const { sending, errors, trouble, asks, send, refuse } = useSending()
const { scale, words } = useUnits()
const CELSIUS = { unit: '°C' }

const buckets = Number(route.query.buckets ?? 0)
const form = reactive({
  id: crypto.randomUUID() as string,
  way: 'LITRES' as 'LITRES' | 'SHARE',
  amount: buckets ? String(buckets) : '',
  at: '',
  conditioner: '',
  dosedFor: 'NEW_WATER' as 'NEW_WATER' | 'WHOLE_TANK',
  temperature: '',
  note: '',
})
const volume = computed(() => tank.data.value?.tank.netVolumeL ?? 0)
const litres = computed(() => {
  const typed = typedNumber(form.amount)
  return typed === undefined || form.way === 'LITRES' ? typed : (typed / 100) * volume.value
})
const tankTemperature = computed(() =>
  water.data.value?.last.find((reading) => reading.parameter === 'TEMPERATURE'),
)

async function save(confirmed = false) {
  const conditioner = typedNumber(form.conditioner)
  const warm = typedNumber(form.temperature)
  const amiss: Record<string, string> = {}
  if (litres.value === undefined) amiss.litres = 'How much water?'
  else if (Number.isNaN(litres.value)) amiss.litres = 'This is not a number.'
  if (Number.isNaN(conditioner)) amiss.conditionerMl = 'This is not a number.'
  if (Number.isNaN(warm)) amiss.newWaterC = 'This is not a number.'
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
    newWaterC: warm === undefined ? undefined : scale(CELSIUS).stored(warm),
    note: form.note,
    confirmed,
  }
  const saved = await send(() => log.mutateAsync({ id: form.id, change }))
  if (!saved) return
  offerUndo('Water change logged.', () => remove.mutateAsync(saved.id))
  await router.push({ name: 'tank-water', params: { tank: props.tank } })
}
</script>

<template>
  <main class="page narrow">
    <AsyncState
      :pending="tank.isPending.value"
      :error="tank.error.value"
      what="the tank"
      @retry="tank.refetch()"
    >
      <form novalidate @submit.prevent="save()">
        <h1>Water change, {{ tank.data.value?.tank.name }}</h1>
        <ChoiceRow
          v-model="form.way"
          legend="How much"
          name="way"
          :choices="[
            { value: 'LITRES', label: 'Litres' },
            { value: 'SHARE', label: 'Share' },
          ]"
        />
        <TextField
          v-model="form.amount"
          :label="form.way === 'LITRES' ? 'Litres changed' : 'Share changed'"
          name="litres"
          type="number"
          :unit="form.way === 'LITRES' ? 'L' : '%'"
          :hint="
            litres
              ? `${withUnit(litres, 'L')}, ${withUnit((100 * litres) / volume, '%')} of ${withUnit(volume, 'L')}`
              : 'Rinse buckets count into it.'
          "
          :error="errors.litres"
        />
        <p v-if="buckets" class="quiet">
          {{ withUnit(buckets, 'L') }} went into rinse buckets today; they are part of the change.
        </p>
        <TextField
          v-model="form.conditioner"
          label="Conditioner"
          name="conditionerMl"
          type="number"
          unit="mL"
          hint="The product’s label decides the dose."
          :error="errors.conditionerMl"
        />
        <ChoiceRow
          v-if="form.conditioner"
          v-model="form.dosedFor"
          legend="Dosed for"
          name="dosedFor"
          :choices="[
            { value: 'NEW_WATER', label: 'The new water', hint: 'Treated before it goes in.' },
            {
              value: 'WHOLE_TANK',
              label: 'The whole tank',
              hint: 'Dosed into the tank: its whole volume counts.',
            },
          ]"
          :error="errors.dosedFor"
        />
        <TextField
          v-model="form.temperature"
          label="New water at"
          name="newWaterC"
          type="number"
          :unit="scale(CELSIUS).unit"
          :hint="tankTemperature ? `The tank was at ${words(tankTemperature, CELSIUS)}.` : 'Match the tank.'"
          :error="errors.newWaterC"
        />
        <TextField
          v-model="form.at"
          label="When"
          name="changedAt"
          type="datetime-local"
          hint="Empty means now."
          :error="errors.changedAt"
        />
        <TextField v-model="form.note" label="Note" name="note" type="textarea" :error="errors.note" />
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <p v-if="asks" class="trouble" role="alert">
          Look at it once more. It is logged only if you say it is right.
        </p>
        <div class="row">
          <el-button class="big" type="primary" native-type="submit" :disabled="sending">
            {{ asks ? 'Log what I changed' : 'Log the change' }}
          </el-button>
          <el-button v-if="asks" class="big" :disabled="sending" @click="save(true)"
            >It is right, log it</el-button
          >
        </div>
      </form>
    </AsyncState>
  </main>
</template>

<style scoped>
form {
  display: grid;
  gap: 14px;
}

.trouble {
  color: var(--brick);
  font-weight: 600;
}

.big {
  min-height: 56px;
  justify-self: start;
}
</style>
