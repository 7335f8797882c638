<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { blankFilter, DraftPath, FilterFields, toInput as toFilter, useCreateFilter } from '@/features/filter'
import FormPage from '@/shared/components/FormPage.vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import { errorsWithin, useSending } from '@/shared/form'
import { blankTank, toInput } from './form'
import { useCreateTank, useTanks } from './queries'
import TankFields from './TankFields.vue'

/** At the table: from nothing to a dated plan. */
const router = useRouter()
const tanks = useTanks()
const createTank = useCreateTank()
const createFilter = useCreateFilter()
const { sending, errors, trouble, send, refuse } = useSending()

const tank = ref(blankTank())
const filter = ref(blankFilter())
/** Kept between tries, so that a filter that was refused does not make the tank twice. */
const made = ref<number>()
const rooms = computed(() => [
  ...new Set((tanks.data.value ?? []).map((one) => one.tank.room).filter(Boolean)),
])
const half = computed(() => ({
  tank: made.value === undefined ? errors.value : {},
  filter: errorsWithin(errors.value, 'filter'),
}))

async function save() {
  const typedTank = toInput(tank.value)
  const typedFilter = toFilter(filter.value)
  const name: Record<string, string> = filter.value.name.trim() ? {} : { 'filter.name': texts.giveTheFilterA }
  const amiss = { ...(made.value === undefined ? typedTank.errors : {}), ...typedFilter.errors, ...name }
  if (Object.keys(amiss).length) {
    refuse(amiss)
    return
  }
  made.value ??= (await send(() => createTank.mutateAsync(typedTank.input)))?.id
  const id = made.value
  if (id === undefined) return
  if (await send(() => createFilter.mutateAsync({ tank: id, filter: typedFilter.input }))) {
    await router.push({ name: 'tank', params: { tank: id } })
  }
}
</script>

<template>
  <FormPage
    :title="texts.aNewTank"
    :action="texts.saveAndPlan"
    :sending="sending"
    :trouble="trouble"
    @submit="save"
  >
    <section v-if="made === undefined" :aria-label="texts.theTank2">
      <TankFields v-model="tank" :errors="half.tank" :rooms="rooms" />
    </section>
    <p v-else class="quiet">{{ texts.isSavedItsFilter(tank.name) }}</p>
    <section class="filter grid gap-3 pt-4 edge-t-line" aria-labelledby="filter-title">
      <h2 id="filter-title">{{ texts.itsFilter }}</h2>
      <p class="quiet">
        {{ texts.weStartWithThe }}
      </p>
      <FilterFields
        v-model="filter"
        :errors="{ ...half.filter, name: errors['filter.name'] ?? (made ? errors.name : '') ?? '' }"
        :existing="false"
      />
    </section>
    <template #beside>
      <LinkButton type="primary" text :to="{ name: 'tanks' }">{{ texts.cancel }}</LinkButton>
    </template>
    <template #aside><DraftPath :form="filter" /></template>
  </FormPage>
</template>
