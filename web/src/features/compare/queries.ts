import { useQuery } from '@tanstack/vue-query'
import { api, body, type Schemas } from '@/shared/api/client'

export type Effect = Schemas['EffectView']

/** What the runs of all filters say together. */
export const useCompared = () =>
  useQuery({ queryKey: ['filters-compared'], queryFn: () => body(api.GET('/api/filters-compared')) })
