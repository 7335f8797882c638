<script setup lang="ts">
import { texts } from './texts'
import { ref, watch } from 'vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import FormPage from '@/shared/components/FormPage.vue'
import TextField from '@/shared/components/TextField.vue'
import { useSending } from '@/shared/form'
import { SYSTEMS, type SiteUnits } from '@/shared/units'
import { useChooseUnits, useSession } from './queries'
import UnitsFields from './UnitsFields.vue'

/** At the table: how the whole site reads and types; what is stored stays metric. */
const session = useSession()
const choose = useChooseUnits()
const { sending, errors, trouble, send } = useSending()

const units = ref<SiteUnits>({ ...SYSTEMS.METRIC })
const said = ref(false)

watch(
  () => session.data.value?.units,
  (stored) => stored && (units.value = { ...stored }),
  { immediate: true },
)

async function save() {
  said.value = false
  const currency = units.value.currency.trim().toUpperCase()
  said.value = (await send(() => choose.mutateAsync({ ...units.value, currency }))) !== undefined
}
</script>

<template>
  <AsyncState
    :pending="session.isPending.value"
    :error="lacking(session)"
    :what="texts.theUnits"
    @retry="session.refetch()"
  >
    <FormPage
      :title="texts.units"
      :action="texts.saveTheUnits"
      :sending="sending"
      :trouble="trouble"
      :readonly="session.data.value?.role !== 'KEEPER'"
      @submit="save"
    >
      <p class="quiet">
        {{ texts.forEveryoneOnThis }}
      </p>
      <UnitsFields v-model="units" :errors="errors">
        <TextField
          v-model="units.currency"
          :label="texts.currencyOfPrices"
          name="currency"
          :hint="texts.threeLettersSuchAs"
          :error="errors.currency"
        />
      </UnitsFields>
      <p v-if="said" role="status">{{ texts.saved }}</p>
      <p v-if="session.data.value?.role !== 'KEEPER'" class="quiet">{{ texts.onlyAKeeperCan }}</p>
    </FormPage>
  </AsyncState>
</template>
