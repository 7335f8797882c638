import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, body, type Schemas } from '@/shared/api/client'

export type Sum = Schemas['SumView']
export type Field = Schemas['FieldView']
export type Answer = Schemas['SumAnswer']
export type Warning = Answer['warnings'][number]
export type Measure = Field['measure']
export type Kept = Schemas['KeptView']
export type Vessel = Schemas['VesselView']
export type Rule = Schemas['RuleView']
/** What a sum is given, by the names of its fields, in stored units. */
export type Given = Record<string, unknown>

/** Every sum and what it asks for, by the site's own rules. */
export function useSums() {
  return useQuery({ queryKey: ['sums'], queryFn: () => body(api.GET('/api/sums')) })
}

/** A sum worked out whenever what it is given changes; the last answer stays until the next one is there. */
export function useAnswer(name: MaybeRefOrGetter<string>, given: MaybeRefOrGetter<Given | undefined>) {
  return useQuery({
    queryKey: computed(() => ['sum', toValue(name), toValue(given)]),
    queryFn: () =>
      body(
        api.POST('/api/sums/{name}', {
          params: { path: { name: toValue(name) } },
          body: { given: toValue(given) ?? {} },
        }),
      ),
    enabled: computed(() => toValue(given) !== undefined),
    placeholderData: keepPreviousData,
    retry: false,
    staleTime: Infinity,
  })
}

/** What was last kept of each sum for a tank. */
export function useKept(tank: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => ['sums', 'kept', toValue(tank)]),
    queryFn: () => body(api.GET('/api/tanks/{tank}/sums', { params: { path: { tank: toValue(tank) } } })),
    enabled: computed(() => toValue(tank) > 0),
  })
}

export function useKeep() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: ({ tank, name, given }: { tank: number; name: string; given: Given }) =>
      body(api.PUT('/api/tanks/{tank}/sums/{name}', { params: { path: { tank, name } }, body: { given } })),
    onSuccess: (_kept, { tank }) => client.invalidateQueries({ queryKey: ['sums', 'kept', tank] }),
  })
}

export function useRules() {
  return useQuery({ queryKey: ['sum-rules'], queryFn: () => body(api.GET('/api/sum-rules')) })
}

/** Keeps a rule of the site's own, or goes back to ours without a value. */
export function useKeepRule() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: ({ key, value }: { key: string; value?: number }) =>
      body(
        value === undefined
          ? api.DELETE('/api/sum-rules/{key}', { params: { path: { key } } })
          : api.PUT('/api/sum-rules/{key}', { params: { path: { key } }, body: { value } }),
      ),
    onSuccess: () =>
      Promise.all([
        client.invalidateQueries({ queryKey: ['sum-rules'] }),
        client.invalidateQueries({ queryKey: ['sums'] }),
        client.invalidateQueries({ queryKey: ['sum'] }),
      ]),
  })
}

export function useVessels() {
  return useQuery({ queryKey: ['vessels'], queryFn: () => body(api.GET('/api/vessels')) })
}

export function useSaveVessel() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: ({ id, ...vessel }: Vessel) =>
      body(api.PUT('/api/vessels/{id}', { params: { path: { id } }, body: vessel })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['vessels'] }),
  })
}

export function useRemoveVessel() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (id: string) => body(api.DELETE('/api/vessels/{id}', { params: { path: { id } } })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['vessels'] }),
  })
}
