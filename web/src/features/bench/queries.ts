import { useMutation, useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, body, type Schemas } from '@/shared/api/client'
import { onceItIsBack } from '@/shared/asking'

export type FutureInput = Schemas['FutureInput']
export type Way = FutureInput['ways'][number]
export type Spread = Schemas['SpreadView']
export type Comparison = Schemas['FutureView']

const POLL_MS = 400

export function useBeginFuture() {
  return useMutation({ mutationFn: (input: FutureInput) => body(api.POST('/api/futures', { body: input })) })
}

/** A comparison, asked for again and again while it runs. */
export function useFuture(id: MaybeRefOrGetter<string | undefined>) {
  return useQuery({
    queryKey: computed(() => ['future', toValue(id)]),
    queryFn: () =>
      body(api.GET('/api/futures/{future}', { params: { path: { future: toValue(id) ?? '' } } })),
    enabled: computed(() => toValue(id) !== undefined),
    refetchInterval: onceItIsBack((future) => (future && future.state !== 'RUNNING' ? false : POLL_MS)),
    staleTime: 0,
  })
}

export function useCancelFuture() {
  return useMutation({
    mutationFn: (id: string) =>
      body(api.DELETE('/api/futures/{future}', { params: { path: { future: id } } })),
  })
}
