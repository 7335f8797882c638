<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import SumLinks from '@/shared/components/SumLinks.vue'
import { lacking } from '@/shared/asking'
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
      <h1>{{ texts.stores }}</h1>
      <div class="actions">
        <LinkButton type="primary" text :to="{ name: 'pieces' }">{{ texts.mediaWithAHistory }}</LinkButton>
        <LinkButton type="primary" :to="{ name: 'new-store-item' }">{{ texts.addAnItem }}</LinkButton>
      </div>
    </header>
    <AsyncState
      :pending="stores.isPending.value"
      :error="lacking(stores)"
      :what="texts.theStores"
      @retry="stores.refetch()"
    >
      <template v-if="stores.data.value">
        <p v-if="empty" class="quiet">
          {{ texts.nothingIsKeptHere }}
        </p>
        <p v-else>
          {{ inShort(stores.data.value) }}
          <span v-if="stores.data.value.costAYear > 0" class="quiet"
            >{{ texts.atTodaysIntervalsA }} <b class="num">{{ money(stores.data.value.costAYear) }}</b>.</span
          >
        </p>
        <section :aria-label="texts.inTheStores" class="mt-3 mb-24px">
          <StockRow v-for="item in stores.data.value.items" :key="item.id" :entry="item" />
        </section>
        <section v-if="stores.data.value.notKept.length" :aria-label="texts.usedButNotKept">
          <h2>{{ texts.usedButNotKept }}</h2>
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
                >{{ texts.about(supply.tanks.join(', ')) }}
                <span class="num">{{ Math.max(1, Math.round(supply.usesAYear)) }}</span>
                {{ texts.aYear }}</span
              >
            </li>
          </ul>
        </section>
      </template>
      <SumLinks
        :sums="[
          { name: 'cutlist', question: texts.howToCutSeveral },
          { name: 'socks', question: texts.howManySocksTo },
          { name: 'cost', question: texts.cartridgesRebuildingOrA },
        ]"
      />
    </AsyncState>
  </main>
</template>
