import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { forecastsStale } from '@/features/interval'
import { api, body, type Schemas } from '@/shared/api/client'

export type Tank = Schemas['TankView']
export type TankInput = Schemas['TankInput']

const TANKS = ['tanks'] as const

export const useTanks = () => useQuery({ queryKey: TANKS, queryFn: () => body(api.GET('/api/tanks')) })

export const useDeletedTanks = () =>
  useQuery({ queryKey: [...TANKS, 'deleted'], queryFn: () => body(api.GET('/api/tanks/deleted')) })

export function useTank(tank: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => [...TANKS, toValue(tank)]),
    queryFn: () => body(api.GET('/api/tanks/{tank}', { params: { path: { tank: toValue(tank) } } })),
  })
}

export function useChanges(tank: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => ['changes', toValue(tank)]),
    queryFn: () => body(api.GET('/api/tanks/{tank}/changes', { params: { path: { tank: toValue(tank) } } })),
  })
}

function useTanksStale() {
  const client = useQueryClient()
  return () =>
    Promise.all([
      client.invalidateQueries({ queryKey: TANKS }),
      client.invalidateQueries({ queryKey: ['filters'] }),
      client.invalidateQueries({ queryKey: ['changes'] }),
      forecastsStale(client),
    ])
}

export function useCreateTank() {
  return useMutation({
    mutationFn: (tank: TankInput) => body(api.POST('/api/tanks', { body: tank })),
    onSuccess: useTanksStale(),
  })
}

export function useUpdateTank() {
  return useMutation({
    mutationFn: ({ id, change }: { id: number; change: Schemas['TankChange'] }) =>
      body(api.PUT('/api/tanks/{tank}', { params: { path: { tank: id } }, body: change })),
    onSuccess: useTanksStale(),
  })
}

export function useDeleteTank() {
  return useMutation({
    mutationFn: (tank: number) => body(api.DELETE('/api/tanks/{tank}', { params: { path: { tank } } })),
    onSuccess: useTanksStale(),
  })
}

export function useRestoreTank() {
  return useMutation({
    mutationFn: (tank: number) => body(api.POST('/api/tanks/{tank}/restore', { params: { path: { tank } } })),
    onSuccess: useTanksStale(),
  })
}
