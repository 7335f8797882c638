import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import type { Ref } from 'vue'
import { api, body, type Schemas } from '@/shared/api/client'

export type Trial = Schemas['TrialView']
export type TrialInput = Schemas['TrialInput']
export type TriedWay = Schemas['TriedWay']
export type TrialChange = Schemas['TrialChange']
export type WatchedUnder = Schemas['WatchedUnder']
export type TankEvent = Schemas['EventInput']

/** Trials, those that run first. */
export const useTrials = () =>
  useQuery({ queryKey: ['trials'], queryFn: () => body(api.GET('/api/trials')), staleTime: 0 })

/** A mutation after which dates move: forecasts, rounds and the plan are asked for anew. */
function useTrying<I, O>(mutationFn: (input: I) => Promise<O>) {
  const client = useQueryClient()
  const stale = ['trials', 'filters', 'forecasts', 'rounds', 'plan']
  return useMutation({
    mutationFn,
    onSuccess: () => Promise.all(stale.map((key) => client.invalidateQueries({ queryKey: [key] }))),
  })
}

export type Forethought = Schemas['TrialForethought']

/** What a trial could tell before it begins; a form that is not whole, or could not be begun, is not asked about. */
export const useForethought = (input: Ref<TrialInput | undefined>) =>
  useQuery({
    queryKey: ['trial-forethought', input],
    queryFn: () =>
      body(api.POST('/api/trials/forethought', { body: input.value as TrialInput })).catch(() => null),
    enabled: () => input.value !== undefined,
  })

export const useBeginTrial = () =>
  useTrying(({ id, input }: { id: string; input: TrialInput }) =>
    body(api.PUT('/api/trials/{id}', { params: { path: { id } }, body: input })),
  )

export const useStopTrial = () =>
  useTrying((id: string) => body(api.POST('/api/trials/{id}/stop', { params: { path: { id } } })))

export const useResumeTrial = () =>
  useTrying((id: string) => body(api.POST('/api/trials/{id}/resume', { params: { path: { id } } })))

export const useRemoveTrial = () =>
  useTrying((id: string) => body(api.DELETE('/api/trials/{id}', { params: { path: { id } } })))

export const useAdopt = () =>
  useTrying(({ id, way }: { id: string; way: number }) =>
    body(api.PUT('/api/trials/{id}/adopted', { params: { path: { id } }, body: { way } })),
  )

export const useDisown = () =>
  useTrying(({ id, before }: { id: string; before: Schemas['Before'] }) =>
    body(api.POST('/api/trials/{id}/adopted/undo', { params: { path: { id } }, body: before })),
  )

/** Tanks that keep a way each go on to the next. */
export const useSwap = () =>
  useTrying((id: string) => body(api.POST('/api/trials/{id}/swap', { params: { path: { id } } })))

export const useSwapBack = () =>
  useTrying((id: string) => body(api.DELETE('/api/trials/{id}/swap', { params: { path: { id } } })))

/** Tells what else changed in a tank. */
export const useTellEvent = () =>
  useTrying(({ tank, id, event }: { tank: number; id: string; event: TankEvent }) =>
    body(api.PUT('/api/tanks/{tank}/events/{id}', { params: { path: { tank, id } }, body: event })),
  )

export const useTakeEventBack = () =>
  useTrying((id: string) => body(api.DELETE('/api/tank-events/{id}', { params: { path: { id } } })))

export const useRestoreEvent = () =>
  useTrying((id: string) => body(api.POST('/api/tank-events/{id}/restore', { params: { path: { id } } })))
