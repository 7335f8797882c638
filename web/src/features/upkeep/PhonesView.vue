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
        <div class="sides">
          <SquareCode :text="start" label="Square code of the address where a phone begins" />
          <ol>
            <li>
              With the phone in the house network, point its camera here, or type <b>{{ start }}</b>
            </li>
            <li>Get the site’s certificate there and install it. The page says what to tap.</li>
            <li>
              Compare the SHA-256 that the phone shows: <code>{{ house.data.value?.fingerprint }}</code>
            </li>
            <li>
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
        <code>./chervil start --house</code>.
      </p>
    </AsyncState>
  </main>
</template>

<style scoped>
.sides {
  display: flex;
  flex-wrap: wrap;
  gap: var(--gap-5);
  align-items: start;
  margin: var(--gap-4) 0;
}

ol {
  flex: 1 1 280px;
  padding-left: 1.2em;
}

li {
  margin-bottom: var(--gap-3);
  list-style: decimal;
}

b,
code {
  overflow-wrap: anywhere;
}
</style>
