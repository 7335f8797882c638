<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { useTanks } from '@/features/tank'
import AsyncState from '@/shared/components/AsyncState.vue'
import FindingTile from '@/shared/components/FindingTile.vue'
import TextField from '@/shared/components/TextField.vue'
import { shortDay, today } from '@/shared/dates'
import { STAGE_KIND, type StageKind } from '@/shared/words'
import { LEDGER_PAGE, useLedger, type LedgerSearch } from './queries'
import { besides, told, worst } from './telling'

/** At the table: every service ever logged, to search and to correct. */
const WAIT_MS = 250

const tanks = useTanks()
const form = reactive<{ search: string; tank: string; stage: StageKind | ''; from: string; to: string }>({
  search: '',
  tank: '',
  stage: '',
  from: '',
  to: '',
})
const search = ref<LedgerSearch>({})
const page = ref(0)
const ledger = useLedger(search, page)
const total = computed(() => ledger.data.value?.total ?? 0)
const first = computed(() => page.value * LEDGER_PAGE)
const last = computed(() => Math.min(first.value + LEDGER_PAGE, total.value))

let waiting: ReturnType<typeof setTimeout> | undefined
watch(form, () => {
  clearTimeout(waiting)
  waiting = setTimeout(() => {
    page.value = 0
    search.value = {
      search: form.search.trim() || undefined,
      tank: form.tank ? Number(form.tank) : undefined,
      stage: form.stage || undefined,
      from: form.from || undefined,
      to: form.to || undefined,
    }
  }, WAIT_MS)
})
</script>

<template>
  <main class="page">
    <h1>Ledger</h1>
    <form class="search" role="search" @submit.prevent>
      <TextField v-model="form.search" label="Search" name="search" hint="Note, person, tank or filter" />
      <label>
        <span>Tank</span>
        <select v-model="form.tank">
          <option value="">All tanks</option>
          <option v-for="tank in tanks.data.value" :key="tank.id" :value="String(tank.id)">
            {{ tank.tank.name }}
          </option>
        </select>
      </label>
      <label>
        <span>Stage</span>
        <select v-model="form.stage">
          <option value="">All stages</option>
          <option v-for="kind in STAGE_KIND" :key="kind.value" :value="kind.value">{{ kind.label }}</option>
        </select>
      </label>
      <TextField v-model="form.from" label="From" name="from" type="date" :max="today()" />
      <TextField v-model="form.to" label="To" name="to" type="date" :max="today()" />
    </form>
    <AsyncState
      :pending="ledger.isPending.value"
      :error="ledger.error.value"
      what="the ledger"
      @retry="ledger.refetch()"
    >
      <p v-if="total === 0" class="quiet">
        {{
          Object.values(form).some(Boolean)
            ? 'Nothing fits. Widen the search.'
            : 'Nothing logged yet. Services you do or log stand here.'
        }}
      </p>
      <ol>
        <li v-for="{ tankName, service } in ledger.data.value?.entries" :key="service.id">
          <span class="quiet">{{ shortDay(service.doneOn) }}</span>
          <RouterLink :to="{ name: 'tank', params: { tank: service.tankId } }">{{ tankName }}</RouterLink>
          <FindingTile v-if="worst(service)" v-bind="worst(service)!" :size="26" />
          <span v-else />
          <span class="told">
            {{ told(service) }} <span class="small quiet">{{ service.note }} {{ besides(service) }}</span>
          </span>
          <span class="small quiet"
            >{{ service.doneBy }}{{ service.minutes ? `, ${service.minutes} min` : '' }}</span
          >
          <RouterLink
            class="small"
            :to="{ name: 'correct', params: { tank: service.tankId, service: service.id } }"
            >Correct<span class="seen-by-readers">
              {{ tankName }}, {{ shortDay(service.doneOn) }}</span
            ></RouterLink
          >
        </li>
      </ol>
      <nav v-if="total > 0" class="pages" aria-label="Pages of the ledger">
        <button class="button outlined" type="button" :disabled="page === 0" @click="page--">Later</button>
        <span class="num" role="status">{{ first + 1 }}–{{ last }} of {{ total }}</span>
        <button class="button outlined" type="button" :disabled="last >= total" @click="page++">
          Earlier
        </button>
      </nav>
    </AsyncState>
  </main>
</template>

<style scoped>
.search {
  display: grid;
  grid-template-columns: 2fr repeat(4, minmax(130px, 1fr));
  gap: 14px;
  align-items: start;
  margin: 14px 0;
}

.search label span {
  display: block;
  margin-bottom: 4px;
  font-weight: 600;
}

select {
  width: 100%;
}

li {
  display: grid;
  grid-template-columns: 100px 150px 26px 1fr 130px 60px;
  gap: 4px 14px;
  align-items: center;
  min-height: 44px;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}

.pages {
  display: flex;
  gap: 16px;
  align-items: center;
  margin-top: 14px;
}

@media (width <= 900px) {
  .search {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }

  li {
    grid-template-columns: 70px minmax(0, 1fr) 26px;
  }

  .told {
    grid-column: 1 / -1;
  }
}
</style>
