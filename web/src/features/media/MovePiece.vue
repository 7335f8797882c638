<script setup lang="ts">
import { texts } from './texts'
import { computed, reactive, ref } from 'vue'
import DayField from '@/shared/components/DayField.vue'
import MeasureField from '@/shared/components/MeasureField.vue'
import TextField from '@/shared/components/TextField.vue'
import { today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { newId } from '@/shared/ids'
import { Problem } from '@/shared/problem'
import { offerUndo } from '@/shared/undo'
import { inOurUnits, typedNumber } from '@/shared/units'
import { useAdvice, useMovePiece, useTakeMoveBack, type PieceMove } from './queries'
import SpotFields from './SpotFields.vue'
import { inFilter, type Piece, type Spot } from './words'

/** Moves a piece, or a part of it, with what is to be known before. */
const props = defineProps<{ piece: Piece }>()
const emit = defineEmits<{ moved: [id: string] }>()

const move = useMovePiece()
const takeBack = useTakeMoveBack()
const { sending, errors, trouble, send, refuse } = useSending()
const blank = () => ({
  id: newId(),
  on: today(),
  spot: undefined as Spot | undefined,
  filter: undefined as number | undefined,
  forTank: undefined as number | undefined,
  partId: newId(),
  partName: '',
  partGrams: '',
  why: '',
})
const form = reactive(blank())
const part = ref(false)

const complete = computed(
  () =>
    form.spot !== undefined &&
    (!inFilter(form.spot) || form.filter !== undefined) &&
    (form.spot !== 'SEEDING' || form.forTank !== undefined),
)
const input = computed<PieceMove | undefined>(() => {
  if (form.spot === undefined || !complete.value) return undefined
  const grams = typedNumber(form.partGrams)
  if (part.value && (grams === undefined || Number.isNaN(grams) || grams < 1)) return undefined
  return {
    on: form.on,
    to: { kind: form.spot, filterId: form.filter, forTankId: form.forTank },
    part: part.value
      ? { id: form.partId, name: form.partName || `${props.piece.name}, part`, grams: grams ?? 0 }
      : undefined,
  }
})
const advice = useAdvice(() => props.piece.id, input)
const said = computed(() => advice.data.value)
/** What does not fit, and stands at no field of this form: the filter it is in holds less than that. */
const against = computed(() => {
  const asked = advice.error.value instanceof Problem ? advice.error.value.byField : {}
  return errors.value.grams ?? asked.grams
})
const wrong = computed(() => ({
  ...(advice.error.value instanceof Problem ? advice.error.value.byField : {}),
  ...errors.value,
}))

async function save() {
  if (!input.value) {
    refuse({
      ...(form.spot === undefined && { 'to.kind': texts.whereDoesItGo }),
      ...(inFilter(form.spot) && form.filter === undefined && { 'to.filterId': texts.intoWhichFilter }),
      ...(form.spot === 'SEEDING' && form.forTank === undefined && { 'to.forTankId': texts.forWhichTank }),
      ...(part.value && { 'part.grams': texts.howManyGramsOf }),
    })
    return
  }
  const id = form.id
  const sent = { ...input.value, why: form.why.trim() || undefined }
  const moved = await send(() => move.mutateAsync({ piece: props.piece.id, move: id, input: sent }))
  if (!moved) return
  Object.assign(form, blank())
  part.value = false
  offerUndo(texts.isMoved(moved.name), () => takeBack.mutateAsync(id))
  emit('moved', moved.id)
}
</script>

<template>
  <section aria-labelledby="move">
    <h2 id="move">{{ texts.moveIt }}</h2>
    <form class="grid gap-3" novalidate @submit.prevent="save">
      <SpotFields
        v-model:kind="form.spot"
        v-model:filter="form.filter"
        v-model:for-tank="form.forTank"
        field="to"
        :label="texts.whereTo"
        may-go
        :errors="errors"
      />
      <DayField v-model="form.on" :label="texts.on" name="on" :max="today()" :error="wrong.on" />
      <el-checkbox v-model="part">{{ texts.onlyAPartOf }}</el-checkbox>
      <template v-if="part">
        <MeasureField
          v-model="form.partGrams"
          :label="texts.weightOfThePart"
          name="part.grams"
          quantity="MASS"
          :error="wrong['part.grams']"
        />
        <TextField
          v-model="form.partName"
          :label="texts.whatYouCallThe"
          name="part.name"
          :placeholder="`${piece.name}, part`"
          :error="errors['part.name']"
        />
      </template>
      <p v-if="against" class="note-plum" role="alert">
        {{ inOurUnits(against) }}
      </p>
      <template v-if="said">
        <p v-if="said.refusal" class="note-plum" role="status">
          {{ said.refusal }}
        </p>
        <p v-for="hold in said.holds" :key="hold" class="note-plum" role="status">
          {{ inOurUnits(hold) }}
        </p>
        <p v-for="one in said.advice" :key="one" class="note-herb" role="status">
          {{ inOurUnits(one) }}
        </p>
        <p v-if="said.gap" class="note-herb" role="status">
          {{ texts.theRoundsRemindYou(said.gap) }}
        </p>
      </template>
      <TextField
        v-if="said?.holds.length || errors.why"
        v-model="form.why"
        :label="texts.whyYouAreDoing"
        name="why"
        type="textarea"
        :hint="texts.keptWithTheRecord"
        :error="errors.why"
      />
      <p v-if="trouble && !Object.keys(errors).length" class="trouble" role="alert">{{ trouble }}</p>
      <el-button type="primary" native-type="submit" :loading="sending" :disabled="Boolean(said?.refusal)">{{
        texts.moveIt
      }}</el-button>
    </form>
  </section>
</template>
