import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { forecastsStale } from '@/features/interval'
import { api, body, type Schemas } from '@/shared/api/client'

export type Procedure = Schemas['ProcedureView']
export type Step = Schemas['StepView']
export type Guided = Schemas['GuidedView']
export type GuidedEvent = Schemas['GuidedEvent']
export type Chore = Schemas['GuidedStart']['chores'][number]

const OPEN = ['guided', 'open'] as const
const WATCH_MS = 15_000

/** The procedure for some tasks of a filter, as it would be done now; and of others that follow in the same go. */
export function useProcedure(
  filter: MaybeRefOrGetter<number | undefined>,
  tasks: MaybeRefOrGetter<number[]>,
  chores: MaybeRefOrGetter<Chore[]>,
  then: MaybeRefOrGetter<number[]>,
) {
  return useQuery({
    queryKey: computed(() => ['procedure', toValue(filter), toValue(tasks), toValue(chores), toValue(then)]),
    queryFn: () =>
      body(
        api.GET('/api/filters/{filter}/procedure', {
          params: {
            path: { filter: toValue(filter) ?? 0 },
            query: { tasks: toValue(tasks), chores: toValue(chores), then: toValue(then) },
          },
        }),
      ),
    enabled: computed(() => toValue(filter) !== undefined),
    placeholderData: (before) => before,
  })
}

/** Services in progress and filters left off, watched while a page is open. */
export const useOpenGuided = () =>
  useQuery({
    queryKey: OPEN,
    queryFn: () => body(api.GET('/api/guided-services')),
    refetchInterval: WATCH_MS,
  })

/** The steps of putting a filter together. */
export const useSetUp = (filter: MaybeRefOrGetter<number>) =>
  useQuery({
    queryKey: computed(() => ['set-up', toValue(filter)]),
    queryFn: () =>
      body(api.GET('/api/filters/{filter}/set-up', { params: { path: { filter: toValue(filter) } } })),
  })

/** The steps of looking a filter over that nobody looked after. */
export const useLookOver = (filter: MaybeRefOrGetter<number>) =>
  useQuery({
    queryKey: computed(() => ['look-over', toValue(filter)]),
    queryFn: () =>
      body(api.GET('/api/filters/{filter}/look-over', { params: { path: { filter: toValue(filter) } } })),
  })

/** The steps of taking a filter down; what is shown stays while the other purpose is fetched. */
export const useTakeDown = (filter: MaybeRefOrGetter<number>, why: MaybeRefOrGetter<'MOVE' | 'STORE'>) =>
  useQuery({
    queryKey: computed(() => ['take-down', toValue(filter), toValue(why)]),
    queryFn: () =>
      body(
        api.GET('/api/filters/{filter}/take-down', {
          params: { path: { filter: toValue(filter) }, query: { why: toValue(why) } },
        }),
      ),
    placeholderData: keepPreviousData,
  })

export function useStartGuided() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: ({ id, start }: { id: string; start: Schemas['GuidedStart'] }) =>
      body(api.PUT('/api/guided-services/{guided}', { params: { path: { guided: id } }, body: start })),
    onSuccess: () => client.invalidateQueries({ queryKey: OPEN }),
  })
}

export function useFinishGuided() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: ({ id, end }: { id: string; end: Schemas['GuidedFinish'] }) =>
      body(api.POST('/api/guided-services/{guided}/finish', { params: { path: { guided: id } }, body: end })),
    onSuccess: () => Promise.all([client.invalidateQueries({ queryKey: OPEN }), forecastsStale(client)]),
  })
}

export function useDropGuided() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (id: string) =>
      body(api.DELETE('/api/guided-services/{guided}', { params: { path: { guided: id } } })),
    onSuccess: () => client.invalidateQueries({ queryKey: OPEN }),
  })
}

export function useConfirmRunning() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (id: string) =>
      body(api.POST('/api/guided-services/{guided}/running', { params: { path: { guided: id } } })),
    onSuccess: () => client.invalidateQueries({ queryKey: OPEN }),
  })
}

/** A connection that hangs is no connection. */
const PATIENCE_MS = 10_000

/** Sends what happened, each event once however often it is sent, and answers all that is known. */
export const exchange = (id: string, events: GuidedEvent[]): Promise<Guided> =>
  body(
    api.POST('/api/guided-services/{guided}/events', {
      params: { path: { guided: id } },
      body: { events },
      signal: AbortSignal.timeout(PATIENCE_MS),
    }),
  )
