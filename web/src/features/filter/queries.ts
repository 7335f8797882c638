import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { forecastsStale } from '@/features/interval'
import { api, body, type Schemas } from '@/shared/api/client'

export type Filter = Schemas['FilterView']
export type Stage = Schemas['StageView']
export type Task = Schemas['TaskView']
export type FilterInput = Schemas['FilterInput']
export type StageInput = Schemas['StageInput']
export type Template = Schemas['Template']

const FILTERS = ['filters'] as const

export const useTemplates = () =>
  useQuery({
    queryKey: ['filter-templates'],
    queryFn: () => body(api.GET('/api/filter-templates')),
    staleTime: Infinity,
  })

export const useSiteFilters = () =>
  useQuery({ queryKey: [...FILTERS, 'site'], queryFn: () => body(api.GET('/api/filters')) })

export function useFilters(tank: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => [...FILTERS, 'tank', toValue(tank)]),
    queryFn: () => body(api.GET('/api/tanks/{tank}/filters', { params: { path: { tank: toValue(tank) } } })),
  })
}

/** What a practitioner would say of a tank for the sake of its animals. */
export function useAdvice(tank: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => [...FILTERS, 'advice', toValue(tank)]),
    queryFn: () => body(api.GET('/api/tanks/{tank}/advice', { params: { path: { tank: toValue(tank) } } })),
  })
}

export function useFilter(filter: MaybeRefOrGetter<number>, enabled: MaybeRefOrGetter<boolean>) {
  return useQuery({
    queryKey: computed(() => [...FILTERS, 'one', toValue(filter)]),
    queryFn: () => body(api.GET('/api/filters/{filter}', { params: { path: { filter: toValue(filter) } } })),
    enabled: computed(() => toValue(enabled)),
  })
}

/** A filter changed: its care, the forecasts, and what is logged as changed on the tank. */
function useFiltersStale() {
  const client = useQueryClient()
  return () =>
    Promise.all([
      client.invalidateQueries({ queryKey: FILTERS }),
      client.invalidateQueries({ queryKey: ['changes'] }),
      forecastsStale(client),
    ])
}

export function useCreateFilter() {
  return useMutation({
    mutationFn: ({ tank, filter }: { tank: number; filter: FilterInput }) =>
      body(api.POST('/api/tanks/{tank}/filters', { params: { path: { tank } }, body: filter })),
    onSuccess: useFiltersStale(),
  })
}

export function useUpdateFilter() {
  return useMutation({
    mutationFn: ({ id, ...change }: { id: number; version: number; filter: FilterInput }) =>
      body(api.PUT('/api/filters/{filter}', { params: { path: { filter: id } }, body: change })),
    onSuccess: useFiltersStale(),
  })
}

/** Says when a filter was last cleaned before anything was logged. */
export function useSetCleaned() {
  return useMutation({
    mutationFn: ({ id, cleaned }: { id: number; cleaned: Schemas['CleanedInput'] }) =>
      body(
        api.PUT('/api/filters/{filter}/last-cleaned', { params: { path: { filter: id } }, body: cleaned }),
      ),
    onSuccess: useFiltersStale(),
  })
}

export function useDeleteFilter() {
  return useMutation({
    mutationFn: (filter: number) =>
      body(api.DELETE('/api/filters/{filter}', { params: { path: { filter } } })),
    onSuccess: useFiltersStale(),
  })
}

export function useRestoreFilter() {
  return useMutation({
    mutationFn: (filter: number) =>
      body(api.POST('/api/filters/{filter}/restore', { params: { path: { filter } } })),
    onSuccess: useFiltersStale(),
  })
}

export function useSetTask() {
  return useMutation({
    mutationFn: ({ task, setting }: { task: number; setting: Schemas['TaskSettingInput'] }) =>
      body(api.PUT('/api/tasks/{task}', { params: { path: { task } }, body: setting })),
    onSuccess: useFiltersStale(),
  })
}
