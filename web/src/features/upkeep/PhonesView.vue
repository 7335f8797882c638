<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import SquareCode from '@/shared/components/SquareCode.vue'
import { useHouse } from './queries'

/** At the table, phone in hand: how a phone in the house comes to trust this site and reach it. */
const house = useHouse()
const which = ref('0')
const starts = computed(() => house.data.value?.starts ?? [])
const start = computed(() => starts.value[Number(which.value)] ?? '')
const choices = computed(() =>
  (house.data.value?.addresses ?? []).map((label, index) => ({ value: String(index), label })),
)
</script>

<template>
  <main class="page narrow">
    <h1>{{ texts.phonesInTheHouse }}</h1>
    <AsyncState
      :pending="house.isPending.value"
      :error="lacking(house)"
      :what="texts.theHouseNetwork"
      @retry="house.refetch()"
    >
      <template v-if="starts.length > 0">
        <ChoiceRow
          v-if="choices.length > 1"
          v-model="which"
          :legend="texts.thisMachineHasMore"
          name="which"
          :choices="choices"
        />
        <div class="sides flex flex-wrap gap-5 items-start my-4">
          <SquareCode :text="start" :label="texts.squareCodeOfThe" />
          <ol class="flex-[1_1_280px] pl-1.2em">
            <li class="mb-3 list-decimal">
              {{ texts.withThePhoneIn }}
              <b class="[overflow-wrap:anywhere]">{{ start }}</b>
            </li>
            <li class="mb-3 list-decimal">
              {{ texts.getTheSitesCertificate }}
            </li>
            <li class="mb-3 list-decimal">
              {{ texts.compareTheSha256 }}
              <code class="[overflow-wrap:anywhere]">{{ house.data.value?.fingerprint }}</code>
            </li>
            <li class="mb-3 list-decimal">
              {{ texts.openChervilAndAdd }}
            </li>
          </ol>
        </div>
        <p class="quiet">
          {{ texts.theCertificateIsGood }}
          <RouterLink :to="{ name: 'people' }">{{ texts.people }}</RouterLink>.
        </p>
      </template>
      <p v-else>
        {{ texts.chervilIsOpenTo }}
        <code class="whitespace-nowrap">./chervil start --house</code>.
      </p>
    </AsyncState>
  </main>
</template>
