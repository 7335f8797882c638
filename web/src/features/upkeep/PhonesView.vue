<script setup lang="ts">
import { computed, ref } from 'vue'
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
    <h1>Phones in the house</h1>
    <AsyncState
      :pending="house.isPending.value"
      :error="house.error.value"
      what="the house network"
      @retry="house.refetch()"
    >
      <template v-if="starts.length > 0">
        <ChoiceRow
          v-if="choices.length > 1"
          v-model="which"
          legend="This machine has more than one address; phones see the one of their own network"
          name="which"
          :choices="choices"
        />
        <div class="sides flex flex-wrap gap-5 items-start my-4">
          <SquareCode :text="start" label="Square code of the address where a phone begins" />
          <ol class="flex-[1_1_280px] pl-1.2em">
            <li class="mb-3 list-decimal">
              With the phone in the house network, point its camera here, or type
              <b class="[overflow-wrap:anywhere]">{{ start }}</b>
            </li>
            <li class="mb-3 list-decimal">
              Get the site’s certificate there and install it. The page says what to tap.
            </li>
            <li class="mb-3 list-decimal">
              Compare the SHA-256 that the phone shows:
              <code class="[overflow-wrap:anywhere]">{{ house.data.value?.fingerprint }}</code>
            </li>
            <li class="mb-3 list-decimal">
              Open Chervil and add it to the home screen. It then works at the tank without a connection.
            </li>
          </ol>
        </div>
        <p class="quiet">
          The certificate is good for addresses inside your house only. Somebody else’s phone also needs an
          invitation, under <RouterLink :to="{ name: 'people' }">People</RouterLink>.
        </p>
      </template>
      <p v-else>
        Chervil is open to this computer alone. For phones, start it where it runs with
        <code class="[overflow-wrap:anywhere]">./chervil start --house</code>.
      </p>
    </AsyncState>
  </main>
</template>
