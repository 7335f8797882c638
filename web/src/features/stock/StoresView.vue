<script setup lang="ts">
import { computed } from 'vue'
import SumLinks from '@/shared/components/SumLinks.vue'
import AsyncState from '@/shared/components/AsyncState.vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import { useStores } from './queries'
import StockRow from './StockRow.vue'
import { money } from '@/shared/units'
import { inShort } from './stores'

/** At the table: what will run out, what a year costs, and which socks are clean. */
const stores = useStores()
const empty = computed(() => stores.data.value?.items.length === 0)
</script>

<template>
  <main class="page">
    <header class="titled">
      <h1>Stores</h1>
      <div class="actions">
        <LinkButton type="primary" text :to="{ name: 'pieces' }">Media with a history</LinkButton>
        <LinkButton type="primary" :to="{ name: 'new-store-item' }">Add an item</LinkButton>
      </div>
    </header>
    <AsyncState
      :pending="stores.isPending.value"
      :error="stores.error.value"
      what="the stores"
      @retry="stores.refetch()"
    >
      <template v-if="stores.data.value">
        <p v-if="empty" class="quiet">
          Nothing is kept here yet. Keep what your filters use: count it once, and services take it down from
          then on.
        </p>
        <p v-else>
          {{ inShort(stores.data.value) }}
          <span v-if="stores.data.value.costAYear > 0" class="quiet"
            >At today’s intervals a year costs about
            <b class="num">{{ money(stores.data.value.costAYear) }}</b>.</span
          >
        </p>
        <section aria-label="In the stores" class="mt-3 mb-24px">
          <StockRow v-for="item in stores.data.value.items" :key="item.id" :entry="item" />
        </section>
        <section v-if="stores.data.value.notKept.length" aria-label="Used, but not kept here">
          <h2>Used, but not kept here</h2>
          <ul>
            <li
              v-for="supply in stores.data.value.notKept"
              :key="supply.name"
              class="flex flex-wrap gap-y-1 gap-x-3 py-1"
            >
              <RouterLink :to="{ name: 'new-store-item', query: { thing: supply.name } }">{{
                supply.name
              }}</RouterLink>
              <span class="small quiet"
                >{{ supply.tanks.join(', ') }}; about
                <span class="num">{{ Math.max(1, Math.round(supply.usesAYear)) }}</span> a year</span
              >
            </li>
          </ul>
        </section>
      </template>
      <SumLinks
        :sums="[
          { name: 'cutlist', question: 'How to cut several sizes at once?' },
          { name: 'socks', question: 'How many socks to own?' },
          { name: 'cost', question: 'Cartridges, rebuilding or a sponge?' },
        ]"
      />
    </AsyncState>
  </main>
</template>
