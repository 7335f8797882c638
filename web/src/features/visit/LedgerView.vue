<script setup lang="ts">
import { texts } from './texts'
import { watchDebounced } from '@vueuse/core'
import { computed, reactive, ref } from 'vue'
import { useTanks } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import DayField from '@/shared/components/DayField.vue'
import SelectField from '@/shared/components/SelectField.vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import TextField from '@/shared/components/TextField.vue'
import { today } from '@/shared/dates'
import { STAGE_KIND, type StageKind } from '@/shared/words'
import LedgerTable from './LedgerTable.vue'
import { LEDGER_PAGE, useLedger, type LedgerSearch } from './queries'

/** At the table: every service ever logged, to search and to correct. */
const WAIT_MS = 250

const tanks = useTanks()
const form = reactive<{ search: string; tank: number; stage: StageKind | 'ALL'; from: string; to: string }>({
  search: '',
  tank: 0,
  stage: 'ALL',
  from: '',
  to: '',
})
const search = ref<LedgerSearch>({})
const page = ref(1)
const ledger = useLedger(search, () => page.value - 1)
const total = computed(() => ledger.data.value?.total ?? 0)
const first = computed(() => (page.value - 1) * LEDGER_PAGE)
const last = computed(() => Math.min(first.value + LEDGER_PAGE, total.value))

/** Asks once the typing has come to rest. */
watchDebounced(
  form,
  () => {
    page.value = 1
    search.value = {
      search: form.search.trim() || undefined,
      tank: form.tank || undefined,
      stage: form.stage === 'ALL' ? undefined : form.stage,
      from: form.from || undefined,
      to: form.to || undefined,
    }
  },
  { debounce: WAIT_MS },
)
</script>

<template>
  <main class="page">
    <header class="flex gap-3 items-center justify-between">
      <h1>{{ texts.ledger }}</h1>
      <LinkButton text type="primary" :to="{ name: 'cases' }">{{ texts.casesOfTrouble }}</LinkButton>
    </header>
    <form
      class="search grid cols-[2fr_repeat(4,minmax(130px,1fr))] gap-3 items-start my-3"
      role="search"
      @submit.prevent
    >
      <TextField v-model="form.search" :label="texts.search" name="search" :hint="texts.notePersonTankOr" />
      <SelectField
        v-model="form.tank"
        :label="texts.tank"
        name="tank"
        :choices="[
          { value: 0, label: texts.allTanks },
          ...(tanks.data.value ?? []).map((one) => ({ value: one.id, label: one.tank.name })),
        ]"
      />
      <SelectField
        v-model="form.stage"
        :label="texts.stage2"
        name="stage"
        :choices="[{ value: 'ALL', label: texts.allStages }, ...STAGE_KIND]"
      />
      <DayField v-model="form.from" :label="texts.from" name="from" :max="today()" />
      <DayField v-model="form.to" :label="texts.to" name="to" :max="today()" />
    </form>
    <AsyncState
      :pending="ledger.isPending.value"
      :error="lacking(ledger)"
      :what="texts.theLedger"
      @retry="ledger.refetch()"
    >
      <p v-if="total === 0" class="quiet">
        {{ Object.values(search).some(Boolean) ? texts.nothingMatchesTryA : texts.nothingLoggedYetYour }}
      </p>
      <LedgerTable v-else :entries="ledger.data.value?.entries ?? []" />
      <el-pagination
        v-if="total > 0"
        v-model:current-page="page"
        class="flex-wrap mt-3"
        layout="prev, pager, next, slot"
        :page-size="LEDGER_PAGE"
        :total="total"
        :pager-count="5"
        :aria-label="texts.pagesOfTheLedger"
      >
        <span class="num" role="status">{{ texts.of(first + 1, last, total) }}</span>
      </el-pagination>
    </AsyncState>
  </main>
</template>

<style scoped>
@media (width <= 900px) {
  .search {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
