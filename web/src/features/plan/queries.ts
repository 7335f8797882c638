import { useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, body, type Schemas } from '@/shared/api/client'
import { onceItIsBack } from '@/shared/asking'

export type Plan = Schemas['PlanView']
export type PlannedVisit = Schemas['PlannedVisit']
export type PlannedTask = Schemas['PlannedTask']
export type PlanDay = Schemas['PlanDay']
export type PlanItem = Schemas['PlanItem']
export type DayPrice = Schemas['DayPrice']
export type Decision = Schemas['PlanDecision']
export type PeopleTime = Schemas['TimeView']
export type Chore = Schemas['ChoreView']

const PLAN = ['plan'] as const
const IMPROVING_POLL_MS = 2000

/** The plan of so many weeks; asked again while a better one is being looked for. */
export function usePlan(weeks: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => [...PLAN, toValue(weeks)]),
    queryFn: () => body(api.GET('/api/plan', { params: { query: { weeks: toValue(weeks) } } })),
    placeholderData: (before) => before,
    refetchInterval: onceItIsBack((plan) => (plan?.improving ? IMPROVING_POLL_MS : false)),
  })
}

/** What every day would cost for work done together in the plan of so many weeks, and why it lies where it lies. */
export function usePrices(items: MaybeRefOrGetter<PlanItem[]>, weeks: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => [...PLAN, 'prices', toValue(items), toValue(weeks)]),
    queryFn: () =>
      body(
        api.POST('/api/plan/prices', {
          params: { query: { weeks: toValue(weeks) } },
          body: { items: toValue(items) },
        }),
      ),
    enabled: computed(() => toValue(items).length > 0),
    staleTime: 0,
  })
}

function planStale(client: QueryClient) {
  return Promise.all(['plan', 'rounds'].map((key) => client.invalidateQueries({ queryKey: [key] })))
}

/** Asks for the plan and its prices anew: work that no price is known for may lie elsewhere by now. */
export function useAskAgain() {
  const client = useQueryClient()
  return () => planStale(client)
}

/** Shows the plan that came back at once; all else that rests on it is asked anew. */
function useAnswered(weeks: MaybeRefOrGetter<number>) {
  const client = useQueryClient()
  return (plan: Plan) => {
    client.setQueryData([...PLAN, toValue(weeks)], plan)
    void planStale(client)
  }
}

export function useDecide(weeks: MaybeRefOrGetter<number>) {
  return useMutation({
    mutationFn: (decision: Decision) =>
      body(
        api.POST('/api/plan/decisions', {
          params: { query: { weeks: toValue(weeks) } },
          body: decision,
        }),
      ),
    onSuccess: useAnswered(weeks),
  })
}

export function useUndo(weeks: MaybeRefOrGetter<number>) {
  return useMutation({
    mutationFn: () =>
      body(api.DELETE('/api/plan/decisions/last', { params: { query: { weeks: toValue(weeks) } } })),
    onSuccess: useAnswered(weeks),
  })
}

export const useTime = () =>
  useQuery({ queryKey: ['people-time'], queryFn: () => body(api.GET('/api/plan/time')) })

function useTimeAnswered() {
  const client = useQueryClient()
  return (time: PeopleTime) => {
    client.setQueryData(['people-time'], time)
    void planStale(client)
  }
}

export function useSaveWeek() {
  return useMutation({
    mutationFn: ({ account, minutes }: { account: number; minutes: number[] }) =>
      body(api.PUT('/api/plan/time/people/{account}', { params: { path: { account } }, body: { minutes } })),
    onSuccess: useTimeAnswered(),
  })
}

export function useAddException() {
  return useMutation({
    mutationFn: (input: Schemas['ExceptionInput']) =>
      body(api.POST('/api/plan/time/exceptions', { body: input })),
    onSuccess: useTimeAnswered(),
  })
}

export function useRemoveException() {
  return useMutation({
    mutationFn: (id: number) =>
      body(api.DELETE('/api/plan/time/exceptions/{id}', { params: { path: { id } } })),
    onSuccess: useTimeAnswered(),
  })
}

export function useSaveHelpers() {
  return useMutation({
    mutationFn: (keeperOnly: string[]) => body(api.PUT('/api/plan/time/helpers', { body: { keeperOnly } })),
    onSuccess: useTimeAnswered(),
  })
}

export function useChores(tank: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => ['chores', toValue(tank)]),
    queryFn: () => body(api.GET('/api/tanks/{tank}/chores', { params: { path: { tank: toValue(tank) } } })),
  })
}

function useChoresStale() {
  const client = useQueryClient()
  return () => Promise.all([client.invalidateQueries({ queryKey: ['chores'] }), planStale(client)])
}

export function useSaveChore(tank: MaybeRefOrGetter<number>) {
  return useMutation({
    mutationFn: ({ kind, everyDays }: { kind: Chore['kind']; everyDays?: number }) =>
      body(
        api.PUT('/api/tanks/{tank}/chores/{kind}', {
          params: { path: { tank: toValue(tank), kind } },
          body: { everyDays },
        }),
      ),
    onSuccess: useChoresStale(),
  })
}

/** Logs a chore under an id made here. */
export function useChoreDone() {
  return useMutation({
    mutationFn: ({ id, ...input }: Schemas['ChoreDoneInput'] & { id: string }) =>
      body(api.PUT('/api/chores-done/{id}', { params: { path: { id } }, body: input })),
    onSuccess: useChoresStale(),
  })
}

export function useChoreNotDone() {
  return useMutation({
    mutationFn: (id: string) => body(api.DELETE('/api/chores-done/{id}', { params: { path: { id } } })),
    onSuccess: useChoresStale(),
  })
}

export const useCalendars = () =>
  useQuery({ queryKey: ['calendars'], queryFn: () => body(api.GET('/api/calendars')) })

export function useMakeCalendar() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (input: Schemas['CalendarInput']) => body(api.POST('/api/calendars', { body: input })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['calendars'] }),
  })
}

export function useRevokeCalendar() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (id: number) => body(api.DELETE('/api/calendars/{id}', { params: { path: { id } } })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['calendars'] }),
  })
}

export const useDigest = () => useQuery({ queryKey: ['digest'], queryFn: () => body(api.GET('/api/digest')) })

export function useSaveDigest() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (input?: Schemas['DigestInput']) =>
      input ? body(api.PUT('/api/digest', { body: input })) : body(api.DELETE('/api/digest')),
    onSuccess: (digest) => client.setQueryData(['digest'], digest),
  })
}
