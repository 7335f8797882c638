<script setup lang="ts">
import { texts } from './texts'
import { reactive } from 'vue'
import DayField from '@/shared/components/DayField.vue'
import MeasureField from '@/shared/components/MeasureField.vue'
import SelectField from '@/shared/components/SelectField.vue'
import TextField from '@/shared/components/TextField.vue'
import { today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { newId } from '@/shared/ids'
import { offerUndo } from '@/shared/undo'
import { typedNumber } from '@/shared/units'
import { useBeginPiece, useRemovePiece } from './queries'
import SpotFields from './SpotFields.vue'
import { MEDIA, type Medium, type Spot } from './words'

/** Takes a bag, foam or basket on record where it is. */
const begin = useBeginPiece()
const remove = useRemovePiece()
const { sending, errors, trouble, send, refuse } = useSending()

const blank = () => ({
  id: newId(),
  moveId: newId(),
  name: '',
  kind: undefined as Medium | undefined,
  grams: '',
  since: today(),
  spot: undefined as Spot | undefined,
  filter: undefined as number | undefined,
  forTank: undefined as number | undefined,
  why: '',
})
const form = reactive(blank())

async function save() {
  const grams = typedNumber(form.grams)
  const { kind, spot } = form
  if (kind === undefined || grams === undefined || Number.isNaN(grams) || spot === undefined) {
    refuse({
      ...(kind === undefined && { kind: texts.whatIsItMade }),
      ...((grams === undefined || Number.isNaN(grams)) && { grams: texts.howManyGrams }),
      ...(spot === undefined && { 'spot.kind': texts.whereIsIt }),
    })
    return
  }
  const made = await send(() =>
    begin.mutateAsync({
      id: form.id,
      input: {
        name: form.name,
        kind,
        grams,
        since: form.since,
        moveId: form.moveId,
        spot: { kind: spot, filterId: form.filter, forTankId: form.forTank },
        why: form.why.trim() || undefined,
      },
    }),
  )
  if (!made) return
  const id = made.id
  Object.assign(form, blank())
  offerUndo(texts.isOnRecord(made.name), () => remove.mutateAsync(id))
}
</script>

<template>
  <section aria-labelledby="new-piece">
    <h2 id="new-piece">{{ texts.takeMediaOnRecord }}</h2>
    <form class="grid gap-3" novalidate @submit.prevent="save">
      <TextField
        v-model="form.name"
        :label="texts.whatYouCallIt"
        name="name"
        :hint="texts.suchAsLeftBag"
        :error="errors.name"
      />
      <SelectField
        v-model="form.kind"
        :label="texts.madeOf"
        name="kind"
        :choices="MEDIA"
        :error="errors.kind"
      />
      <MeasureField
        v-model="form.grams"
        :label="texts.weight"
        name="grams"
        quantity="MASS"
        :error="errors.grams"
      />
      <SpotFields
        v-model:kind="form.spot"
        v-model:filter="form.filter"
        v-model:for-tank="form.forTank"
        field="spot"
        :label="texts.whereItIs"
        :errors="errors"
      />
      <DayField
        v-model="form.since"
        :label="texts.thereSince"
        name="since"
        :max="today()"
        :error="errors.since"
      />
      <TextField
        v-if="errors.why || form.why"
        v-model="form.why"
        :label="texts.whyYouAreDoing"
        name="why"
        type="textarea"
        :error="errors.why"
      />
      <p v-if="trouble && !Object.keys(errors).length" class="trouble" role="alert">{{ trouble }}</p>
      <el-button type="primary" native-type="submit" :loading="sending">{{ texts.takeItOnRecord }}</el-button>
    </form>
  </section>
</template>
