import { useQuery, type QueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, body, type Schemas } from '@/shared/api/client'

export type Forecast = Schemas['ForecastView']

const FORECASTS = ['forecasts'] as const

/** Forecasts of one tank, or of the whole site. */
export function useForecasts(tank?: MaybeRefOrGetter<number>) {
  const id = computed(() => toValue(tank))
  return useQuery({
    queryKey: computed(() => [...FORECASTS, id.value ?? 'site']),
    queryFn: () => body(api.GET('/api/forecasts', { params: { query: { tank: id.value } } })),
  })
}

/** Everything that a logged service or reading, a changed tank or filter makes stale. */
export function forecastsStale(client: QueryClient): Promise<unknown> {
  return Promise.all(
    ['forecasts', 'rounds', 'services', 'water', 'procedure'].map((key) =>
      client.invalidateQueries({ queryKey: [key] }),
    ),
  )
}
