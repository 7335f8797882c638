<script setup lang="ts">
import { texts } from './texts'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useFilters, useSiteFilters } from '@/features/filter'
import { useTanks } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import DayField from '@/shared/components/DayField.vue'
import SelectField from '@/shared/components/SelectField.vue'
import { addDays, today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import GlyphPicture from './GlyphPicture.vue'
import { complaintsOf } from './network'
import { glyphOfComplaint } from './pictures'
import { useCases, useOpenCase } from './queries'
import { complaintWords } from './words'
import { newId } from '@/shared/ids'

/** At the tank: which filter, and what is wrong with it. */
const route = useRoute()
const router = useRouter()
const number = (value: unknown) =>
  typeof value === 'string' && /^\d+$/.test(value) ? Number(value) : undefined

const tanks = useTanks()
const tank = ref(number(route.query.tank))
const filters = useFilters(() => tank.value ?? 0)
const filter = ref(number(route.query.filter))
const everywhere = useSiteFilters()
const noticed = ref(today())
const open = useOpenCase()
const cases = useCases()
const { sending, errors, trouble, send } = useSending()

const ofTank = computed(() => (tank.value === undefined ? [] : (filters.data.value ?? [])))
const chosen = computed(() => ofTank.value.find(({ id }) => id === filter.value))
const tankChoices = computed(() =>
  (tanks.data.value ?? []).map(({ id, tank: it }) => ({ value: id, label: it.name })),
)
const complaints = computed(() => (chosen.value ? complaintsOf(chosen.value) : []))
/** Cases of this filter that somebody is at already. */
const going = computed(() =>
  (cases.data.value ?? []).filter(
    (one) => one.filterId === filter.value && (one.standing === 'OPEN' || one.standing === 'STOPPED'),
  ),
)

watch(
  ofTank,
  (all) => {
    if (all.length && !all.some(({ id }) => id === filter.value)) filter.value = all[0]?.id
  },
  { immediate: true },
)

/** A filter alone says which tank is meant. */
watch(everywhere.data, (all) => (tank.value ??= all?.find(({ id }) => id === filter.value)?.tankId), {
  immediate: true,
})

async function begin(complaint: string) {
  const filterId = filter.value
  if (filterId === undefined) return
  const id = newId()
  const begun = await send(() => open.mutateAsync({ id, filterId, complaint, noticedOn: noticed.value }))
  if (begun) void router.push({ name: 'case', params: { case: id } })
}
</script>

<template>
  <main class="page">
    <h1>{{ texts.whatIsWrong }}</h1>
    <AsyncState
      :pending="tanks.isPending.value"
      :error="lacking(tanks)"
      :what="texts.theTanks"
      @retry="tanks.refetch()"
    >
      <p v-if="!tankChoices.length">
        {{ texts.thereIsNoTank }}
        <RouterLink :to="{ name: 'new-tank' }">{{ texts.addTheFirstOne }}</RouterLink>.
      </p>
      <div v-else class="where flex flex-wrap gap-y-3 gap-x-4 items-start mt-10px mb-18px">
        <SelectField
          v-model="tank"
          class="min-w-220px"
          :label="texts.tank"
          name="tank"
          :choices="tankChoices"
        />
        <ChoiceRow
          v-if="ofTank.length > 1 && filter !== undefined"
          v-model="filter"
          class="min-w-220px"
          :legend="texts.filter"
          name="filterId"
          :choices="ofTank.map(({ id, name }) => ({ value: id, label: name }))"
        />
        <DayField
          v-model="noticed"
          class="min-w-220px"
          :label="texts.firstNoticed"
          name="noticedOn"
          :max="today()"
          :min="addDays(today(), -365)"
          :error="errors.noticedOn"
        />
      </div>
      <p v-if="tank !== undefined && !filters.isPending.value && !ofTank.length" class="quiet">
        {{ texts.thisTankHasNo }}
      </p>
      <p v-for="one in going" :key="one.id" class="my-2 note-amber">
        {{ texts.isBeingLookedInto(complaintWords(one.complaint)) }}
        <RouterLink :to="{ name: 'case', params: { case: one.id } }">{{ texts.goOnWithIt }}</RouterLink>
      </p>
      <p v-if="errors.complaint ?? trouble" class="error" role="alert">{{ errors.complaint ?? trouble }}</p>
      <p class="max-w-820px mb-16px py-2px pl-12px edge-l-4-brick">
        {{ texts.waterNearAPlug }}
      </p>
      <div v-if="chosen" class="grid cols-[repeat(auto-fill,minmax(260px,1fr))] gap-10px">
        <el-button
          v-for="one in complaints"
          :key="one.id"
          class="justify-start min-h-64px text-17px text-left"
          :disabled="sending"
          @click="begin(one.id)"
        >
          <span class="flex gap-12px items-center"
            ><GlyphPicture :glyph="glyphOfComplaint(one.id)" />{{ one.words }}</span
          >
        </el-button>
      </div>
    </AsyncState>
  </main>
</template>
