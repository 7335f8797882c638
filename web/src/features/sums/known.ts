import { useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { useFilters } from '@/features/filter'
import { useForecasts } from '@/features/interval'
import { useStores } from '@/features/stock'
import { useTanks } from '@/features/tank'
import { api, body } from '@/shared/api/client'
import type { Known } from './prefill'
import { useKept, useVessels } from './queries'

const RECENT = 50

/** What is known of a filter of a tank, its log and its forecasts. */
export function useFilterKnown(tank: MaybeRefOrGetter<number>, filter: MaybeRefOrGetter<number>) {
  const tanks = useTanks()
  const filters = useFilters(tank)
  const forecasts = useForecasts(tank)
  const services = useQuery({
    queryKey: computed(() => ['services', toValue(tank), 'recent']),
    queryFn: () =>
      body(
        api.GET('/api/tanks/{tank}/services', {
          params: { path: { tank: toValue(tank) }, query: { skip: 0, limit: RECENT } },
        }),
      ),
    enabled: computed(() => toValue(tank) > 0),
  })
  const known = computed<Known>(() => ({
    tank: tanks.data.value?.find((one) => one.id === toValue(tank))?.tank,
    filter: filters.data.value?.find((one) => one.id === toValue(filter)),
    filters: filters.data.value,
    forecasts: forecasts.data.value,
    services: services.data.value,
  }))
  return { known, filters }
}

/** What a sum can know of a tank and one of its filters without being told. */
export function useKnown(tank: MaybeRefOrGetter<number>, filter: MaybeRefOrGetter<number>) {
  const { known: ofFilter, filters } = useFilterKnown(tank, filter)
  const stores = useStores()
  const vessels = useVessels()
  const kept = useKept(tank)
  const water = useQuery({
    queryKey: computed(() => ['water', toValue(tank), 'now']),
    queryFn: () => body(api.GET('/api/tanks/{tank}/water', { params: { path: { tank: toValue(tank) } } })),
    enabled: computed(() => toValue(tank) > 0),
  })
  const known = computed<Known>(() => ({
    ...ofFilter.value,
    water: water.data.value,
    stores: stores.data.value,
    vessels: vessels.data.value,
    kept: kept.data.value,
  }))
  return { known, filters }
}
