import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, body, type Schemas } from '@/shared/api/client'

export type Case = Schemas['CaseView']
export type CaseSummary = Schemas['CaseSummary']
export type TroubleEvent = Schemas['TroubleEvent']
export type Bearing = CaseSummary['counts']
export type Rates = Schemas['RatesView']

/** Cases, newest first; of one tank, or of the site. */
export function useCases(tank?: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => ['trouble', 'cases', toValue(tank)]),
    queryFn: () => {
      const one = toValue(tank)
      return body(
        api.GET('/api/trouble-cases', { params: { query: one === undefined ? {} : { tank: one } } }),
      )
    },
  })
}

/** Dates, rounds and lists follow what a case comes to. */
function useStale() {
  const client = useQueryClient()
  return () =>
    Promise.all(
      ['trouble', 'forecasts', 'rounds', 'plan'].map((key) => client.invalidateQueries({ queryKey: [key] })),
    )
}

export function useOpenCase() {
  return useMutation({
    mutationFn: ({ id, ...input }: Schemas['TroubleInput'] & { id: string }) =>
      body(api.PUT('/api/trouble-cases/{id}', { params: { path: { id } }, body: input })),
    onSuccess: useStale(),
  })
}

/** Sends events and answers all that is known of the case. */
export const exchange = (id: string, events: TroubleEvent[]) =>
  body(api.POST('/api/trouble-cases/{id}/events', { params: { path: { id } }, body: { events } }))

/** Gives a case up, or goes on with it. */
export function useLeave(id: string) {
  return useMutation({
    mutationFn: (left: boolean) => {
      const params = { path: { id } }
      return body(
        left
          ? api.PUT('/api/trouble-cases/{id}/left', { params })
          : api.DELETE('/api/trouble-cases/{id}/left', { params }),
      )
    },
    onSuccess: useStale(),
  })
}

/** Says what is to be learned from its days; what the finder says without a choice. */
export function useOverrule(id: string) {
  return useMutation({
    mutationFn: (counts: Bearing | undefined) =>
      body(
        api.PUT('/api/trouble-cases/{id}/bearing', {
          params: { path: { id } },
          body: counts === undefined ? {} : { counts },
        }),
      ),
    onSuccess: useStale(),
  })
}

export function useRemind(id: string) {
  return useMutation({
    mutationFn: (reminder: Schemas['Reminder']) =>
      body(api.PUT('/api/trouble-cases/{id}/reminder', { params: { path: { id } }, body: reminder })),
    onSuccess: useStale(),
  })
}

export function useRemoveCase() {
  return useMutation({
    mutationFn: (id: string) => body(api.DELETE('/api/trouble-cases/{id}', { params: { path: { id } } })),
    onSuccess: useStale(),
  })
}

export const useRates = () =>
  useQuery({ queryKey: ['trouble', 'rates'], queryFn: () => body(api.GET('/api/trouble-rates')) })

/** Counts closed cases from now on only, or all of them again. */
export function useCounting() {
  return useMutation({
    mutationFn: (anew: boolean) =>
      body(anew ? api.PUT('/api/trouble-rates/anew') : api.DELETE('/api/trouble-rates/anew')),
    onSuccess: useStale(),
  })
}
