import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import type { paths } from '@/generated/api'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { forecastsStale } from '@/features/interval'
import { api, body, type Schemas } from '@/shared/api/client'

export type Rounds = Schemas['RoundsView']
export type Visit = Schemas['VisitView']
export type Service = Schemas['ServiceView']
export type ServiceInput = Schemas['ServiceInput']
export type Saved = Schemas['SavedService']
export type Change = Schemas['ContextChangeView']
export type LedgerEntry = Schemas['LedgerEntry']

/** Services a page of the history. */
export const PAGE = 20

export const useRounds = () => useQuery({ queryKey: ['rounds'], queryFn: () => body(api.GET('/api/rounds')) })

/** Services of a tank, latest first, a page at a time. */
export function useServices(tank: MaybeRefOrGetter<number>) {
  return useInfiniteQuery({
    queryKey: computed(() => ['services', toValue(tank)]),
    queryFn: ({ pageParam }) =>
      body(
        api.GET('/api/tanks/{tank}/services', {
          params: { path: { tank: toValue(tank) }, query: { skip: pageParam, limit: PAGE } },
        }),
      ),
    initialPageParam: 0,
    getNextPageParam: (last, pages) => (last.length < PAGE ? undefined : pages.length * PAGE),
  })
}

export type LedgerSearch = Omit<
  NonNullable<paths['/api/services']['get']['parameters']['query']>,
  'skip' | 'limit'
>

/** Services a page of the ledger. */
export const LEDGER_PAGE = 50

export function useLedger(search: MaybeRefOrGetter<LedgerSearch>, page: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => ['services', 'ledger', toValue(search), toValue(page)]),
    queryFn: () =>
      body(
        api.GET('/api/services', {
          params: { query: { ...toValue(search), skip: toValue(page) * LEDGER_PAGE, limit: LEDGER_PAGE } },
        }),
      ),
    placeholderData: (before) => before,
  })
}

export function useService(service: MaybeRefOrGetter<string | undefined>) {
  return useQuery({
    queryKey: computed(() => ['services', 'one', toValue(service)]),
    queryFn: () =>
      body(api.GET('/api/services/{service}', { params: { path: { service: toValue(service) ?? '' } } })),
    enabled: computed(() => toValue(service) !== undefined),
    gcTime: 0,
  })
}

function useLogStale() {
  const client = useQueryClient()
  return () => forecastsStale(client)
}

/** Logs a service under an id made here, so that sending it twice stores it once. */
export function useSaveService() {
  return useMutation({
    mutationFn: ({ id, input }: { id: string; input: ServiceInput }) =>
      body(api.PUT('/api/services/{service}', { params: { path: { service: id } }, body: input })),
    onSuccess: useLogStale(),
  })
}

export function useCorrectService() {
  return useMutation({
    mutationFn: ({ id, version, input }: { id: string; version: number; input: ServiceInput }) =>
      body(
        api.POST('/api/services/{service}/corrections', {
          params: { path: { service: id } },
          body: { version, service: input },
        }),
      ),
    onSuccess: useLogStale(),
  })
}

export type AskedQuestion = Schemas['AskedQuestion']

/** Keeps the answer to what was asked about a service. */
export function useAnswer() {
  return useMutation({
    mutationFn: ({ service, ...answer }: Schemas['AnswerInput'] & { service: string }) =>
      body(api.PUT('/api/services/{service}/answers', { params: { path: { service } }, body: answer })),
    onSuccess: useLogStale(),
  })
}

/** Makes one of two services that logged the same work. */
export function useMergeServices() {
  return useMutation({
    mutationFn: ({ service, other }: { service: string; other: string }) =>
      body(api.POST('/api/services/{service}/twins/{other}', { params: { path: { service, other } } })),
    onSuccess: useLogStale(),
  })
}

export function useWithdrawService() {
  return useMutation({
    mutationFn: (service: string) =>
      body(api.DELETE('/api/services/{service}', { params: { path: { service } } })),
    onSuccess: useLogStale(),
  })
}

export function useRestoreService() {
  return useMutation({
    mutationFn: (service: string) =>
      body(api.POST('/api/services/{service}/restore', { params: { path: { service } } })),
    onSuccess: useLogStale(),
  })
}

/** Somebody looked again; the rounds follow. */
export function useLooked() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (followUp: string) =>
      body(api.PUT('/api/follow-ups/{followUp}/done', { params: { path: { followUp } } })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['rounds'] }),
  })
}

export function useNotLooked() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (followUp: string) =>
      body(api.DELETE('/api/follow-ups/{followUp}/done', { params: { path: { followUp } } })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['rounds'] }),
  })
}
