<script setup lang="ts">
import { texts } from './texts'
import { reactive } from 'vue'
import { useTank } from '@/features/tank'
import { lacking } from '@/shared/asking'
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
    refuse({ 'media.grams': texts.whichMediaAndHow })
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
      :error="lacking(tank, replacements)"
      :what="texts.theMedia"
      @retry="(tank.refetch(), replacements.refetch())"
    >
      <h1>{{ texts.replaceBioMedia(tank.data.value?.tank.name ?? '') }}</h1>
      <p class="quiet">
        {{ texts.onlyPartAtA }}
        <RouterLink :to="{ name: 'prepare', params: { tank: props.tank } }">{{
          texts.beGuidedThroughIt
        }}</RouterLink>{{ texts.orLogWhatWas }}
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
        <DayField v-model="form.on" :label="texts.doneOn" name="replacedOn" :error="errors.replacedOn" />
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <el-button type="primary" native-type="submit" :disabled="sending">{{
          texts.logTheExchange
        }}</el-button>
      </form>
      <h2>{{ texts.soFar }}</h2>
      <p v-if="replacements.data.value?.length === 0" class="quiet">{{ texts.none }}</p>
      <ul>
        <li v-for="one in replacements.data.value" :key="one.id" class="grid py-2 edge-b-hair">
          <b>{{ shortDay(one.replacedOn) }}: {{ mass(one.grams) }}</b> {{ texts.by(one.doneBy) }}
          <span class="small quiet">{{ inOurUnits(one.told) }}</span>
          <span v-if="one.overrideReason" class="small"
            ><b>{{ texts.doneAnyway }}</b> {{ one.overrideReason }}</span
          >
        </li>
      </ul>
      <RouterLink :to="{ name: 'tank-water', params: { tank: props.tank } }">{{
        texts.toTheWater
      }}</RouterLink>
    </AsyncState>
  </main>
</template>
