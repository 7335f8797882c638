<script setup lang="ts">
import { reactive, ref, watch } from 'vue'
import AsyncState from '@/shared/components/AsyncState.vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import TextField from '@/shared/components/TextField.vue'
import type { Schemas } from '@/shared/api/client'
import { useSending } from '@/shared/form'
import { useChooseUnits, useSession } from './queries'

/** At the table: units in which the whole site reads and types; what is stored stays metric. */
const session = useSession()
const choose = useChooseUnits()
const { sending, errors, trouble, send } = useSending()

const units = reactive<Schemas['SiteUnits']>({
  temperature: 'CELSIUS',
  concentration: 'MG_PER_L',
  hardness: 'DH',
  currency: 'EUR',
})
const said = ref(false)

watch(
  () => session.data.value?.units,
  (stored) => Object.assign(units, stored),
  { immediate: true },
)

async function save() {
  said.value = false
  said.value =
    (await send(() => choose.mutateAsync({ ...units, currency: units.currency.trim().toUpperCase() }))) !==
    undefined
}
</script>

<template>
  <main class="page narrow">
    <h1>Units</h1>
    <p class="quiet">For everyone on this site. Stored values do not change.</p>
    <AsyncState
      :pending="session.isPending.value"
      :error="session.error.value"
      what="the units"
      @retry="session.refetch()"
    >
      <form @submit.prevent="save">
        <ChoiceRow
          v-model="units.temperature"
          legend="Temperature"
          name="temperature"
          :choices="[
            { value: 'CELSIUS', label: '°C' },
            { value: 'FAHRENHEIT', label: '°F' },
          ]"
          :error="errors.temperature"
        />
        <ChoiceRow
          v-model="units.concentration"
          legend="Concentrations"
          name="concentration"
          :choices="[
            { value: 'MG_PER_L', label: 'mg/L' },
            { value: 'PPM', label: 'ppm' },
          ]"
          :error="errors.concentration"
        />
        <ChoiceRow
          v-model="units.hardness"
          legend="Hardness"
          name="hardness"
          :choices="[
            { value: 'DH', label: '°dH' },
            { value: 'PPM', label: 'ppm of CaCO₃' },
          ]"
          :error="errors.hardness"
        />
        <TextField
          v-model="units.currency"
          label="Currency of prices"
          name="currency"
          hint="Its three letters, such as EUR, GBP or USD"
          :error="errors.currency"
        />
        <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <p v-if="said" role="status">Saved.</p>
        <button v-if="session.data.value?.role === 'KEEPER'" class="button" type="submit" :disabled="sending">
          Save
        </button>
        <p v-else class="quiet">Only the keeper changes them.</p>
      </form>
    </AsyncState>
  </main>
</template>

<style scoped>
form {
  display: grid;
  gap: 16px;
  justify-items: start;
  margin-top: 14px;
}

.trouble {
  color: var(--brick);
  font-weight: 600;
}
</style>
