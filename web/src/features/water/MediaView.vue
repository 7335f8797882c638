<script setup lang="ts">
import { reactive } from 'vue'
import { useTank } from '@/features/tank'
import AsyncState from '@/shared/components/AsyncState.vue'
import DayField from '@/shared/components/DayField.vue'
import { shortDay, today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { inOurUnits, mass, typedNumber } from '@/shared/units'
import MediaPick from './MediaPick.vue'
import { useReplacements, useReplaceMedia } from './queries'
import { newId } from '@/shared/ids'

/** Log an exchange of bio media, held to the share the tank can bear. */
const props = defineProps<{ tank: number }>()

const tank = useTank(() => props.tank)
const replacements = useReplacements(() => props.tank)
const replace = useReplaceMedia(() => props.tank)
const { sending, errors, trouble, send, refuse } = useSending()

const blank = () => ({
  id: newId(),
  stage: undefined as number | undefined,
  grams: '',
  reason: '',
  on: today(),
})
const form = reactive(blank())

async function save() {
  const grams = typedNumber(form.grams)
  if (form.stage === undefined || grams === undefined || Number.isNaN(grams)) {
    refuse({ 'media.grams': 'Which media, and how many grams?' })
    return
  }
  const done = {
    media: { stageId: form.stage, grams },
    replacedOn: form.on,
    overrideReason: form.reason.trim() || undefined,
  }
  if (await send(() => replace.mutateAsync({ id: form.id, done }))) Object.assign(form, blank())
}
</script>

<template>
  <main class="page narrow">
    <AsyncState
      :pending="tank.isPending.value || replacements.isPending.value"
      :error="tank.error.value ?? replacements.error.value"
      what="the media"
      @retry="(tank.refetch(), replacements.refetch())"
    >
      <h1>Replace bio media, {{ tank.data.value?.tank.name }}</h1>
      <p class="quiet">
        Only part at a time: a quarter in a tank under 90 days, half in one over a year, within 28 days over
        all its filters. Test ammonia and nitrite first, keep the old media wet.
        <RouterLink :to="{ name: 'prepare', params: { tank: props.tank } }">Be guided through it</RouterLink>,
        or log what was done.
      </p>
      <form class="grid gap-3 justify-items-start mt-3 mb-24px" novalidate @submit.prevent="save">
        <MediaPick
          v-model:stage="form.stage"
          v-model:grams="form.grams"
          v-model:reason="form.reason"
          :tank="props.tank"
          :on="form.on"
          :errors="errors"
        />
        <DayField v-model="form.on" label="Done on" name="replacedOn" :error="errors.replacedOn" />
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <el-button type="primary" native-type="submit" :disabled="sending">Log the exchange</el-button>
      </form>
      <h2>So far</h2>
      <p v-if="replacements.data.value?.length === 0" class="quiet">None.</p>
      <ul>
        <li v-for="one in replacements.data.value" :key="one.id" class="grid py-2 edge-b-hair">
          <b>{{ shortDay(one.replacedOn) }}: {{ mass(one.grams) }}</b> by {{ one.doneBy }}
          <span class="small quiet">{{ inOurUnits(one.told) }}</span>
          <span v-if="one.overrideReason" class="small"><b>Done anyway:</b> {{ one.overrideReason }}</span>
        </li>
      </ul>
      <RouterLink :to="{ name: 'tank-water', params: { tank: props.tank } }">To the water</RouterLink>
    </AsyncState>
  </main>
</template>
