<script setup lang="ts">
import { texts } from './texts'
import { computed, reactive } from 'vue'
import { BenchNav } from '@/features/bench'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import NumberField from '@/shared/components/NumberField.vue'
import TextField from '@/shared/components/TextField.vue'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { fieldOf, scaleOf, storedOf, tell } from './measures'
import { useRemoveVessel, useSaveVessel, useVessels, type Vessel } from './queries'
import { newId } from '@/shared/ids'

/** At the table: the tubs, caps and spoons this keeper measures with. */
const vessels = useVessels()
const save = useSaveVessel()
const remove = useRemoveVessel()
const { sending, errors, trouble, send, refuse } = useSending()
const blank = () => ({ id: '', kind: 'TUB' as Vessel['kind'], name: '', holds: '' })
const form = reactive(blank())

const measure = computed(() => (form.kind === 'TUB' ? 'LITRES' : 'MILLILITRES'))
const scale = computed(() => scaleOf(measure.value))
const perUnit = (kind: Vessel['kind']) => (kind === 'TUB' ? 1000 : 1)
const holds = (one: Vessel) =>
  one.kind === 'TUB' ? tell('LITRES', one.millilitres / 1000) : tell('MILLILITRES', one.millilitres)

async function keep() {
  const value = storedOf(scale.value, form.holds)
  if (value === undefined || Number.isNaN(value)) {
    refuse({ millilitres: value === undefined ? texts.howMuchDoesIt : texts.thisIsNotA })
    return
  }
  const vessel: Vessel = {
    id: form.id || newId(),
    kind: form.kind,
    name: form.name,
    millilitres: value * perUnit(form.kind),
  }
  const done = await send(async () => {
    await save.mutateAsync(vessel)
    return true
  })
  if (done) Object.assign(form, blank())
}

function change(one: Vessel) {
  const of = scaleOf(one.kind === 'TUB' ? 'LITRES' : 'MILLILITRES')
  Object.assign(form, { ...one, holds: fieldOf(of, one.millilitres / perUnit(one.kind)) })
}

async function takeOut(one: Vessel) {
  const done = await send(async () => {
    await remove.mutateAsync(one.id)
    return true
  })
  if (done) offerUndo(texts.takenOut(one.name), () => save.mutateAsync(one))
}
</script>

<template>
  <main class="page">
    <BenchNav />
    <h1>{{ texts.yourTubsAndCaps }}</h1>
    <p class="quiet">
      {{ texts.rinseWaterIsDrawn }}
    </p>
    <AsyncState
      :pending="vessels.isPending.value"
      :error="lacking(vessels)"
      :what="texts.yourTubs"
      @retry="vessels.refetch()"
    >
      <div class="sides grid cols-[repeat(auto-fit,minmax(280px,1fr))] gap-y-24px gap-x-48px items-start">
        <form class="grid gap-16px" novalidate @submit.prevent="keep">
          <ChoiceRow
            v-model="form.kind"
            :legend="texts.whatIsIt"
            name="kind"
            :choices="[
              { value: 'TUB', label: texts.tubOrBucket },
              { value: 'CAP', label: texts.capSpoonOrPump },
            ]"
            :error="errors.kind"
          />
          <TextField v-model="form.name" :label="texts.called" name="name" :error="errors.name" />
          <NumberField
            v-model="form.holds"
            :label="texts.holds"
            name="millilitres"
            :unit="scale.symbol"
            :error="errors.millilitres"
          />
          <p v-if="trouble" class="error" role="alert">{{ trouble }}</p>
          <div>
            <el-button type="primary" native-type="submit" :loading="sending">{{
              form.id ? texts.keepTheChange : texts.addIt
            }}</el-button>
          </div>
        </form>
        <ul v-if="vessels.data.value?.length">
          <li
            v-for="one in vessels.data.value"
            :key="one.id"
            class="flex gap-10px items-center py-2 edge-b-hair"
          >
            <span class="flex-1"
              >{{ one.name }} <b class="num">{{ holds(one) }}</b></span
            >
            <el-button class="m-0" :aria-label="texts.change(one.name)" @click="change(one)">{{
              texts.change2
            }}</el-button>
            <el-button class="m-0" :aria-label="texts.takeOut3(one.name)" @click="takeOut(one)">{{
              texts.takeOut2
            }}</el-button>
          </li>
        </ul>
        <p v-else class="quiet">{{ texts.noneYetTheBucket }}</p>
      </div>
    </AsyncState>
  </main>
</template>
