import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { forecastsStale } from '@/features/interval'
import { api, body, type Schemas } from '@/shared/api/client'
import type { Day } from '@/shared/dates'

export type Hold = Schemas['Hold']
export type Water = Schemas['WaterView']
export type Reading = Schemas['ReadingView']
export type ReadingSet = Schemas['ReadingSet']
export type Parameter = Schemas['ParameterView']
export type Method = Schemas['MethodView']
export type Series = Schemas['SeriesView']
export type Line = Schemas['Line']
export type ChangeInput = Schemas['ChangeInput']
export type MediaPlan = Schemas['MediaPlan']
export type Preview = Schemas['ImportPreview']
export type Tap = Schemas['TapView']

type Tank = MaybeRefOrGetter<number>
const path = (tank: Tank) => ({ tank: toValue(tank) })

/** How a tank's water is now. */
export function useWater(tank: Tank) {
  return useQuery({
    queryKey: computed(() => ['water', toValue(tank), 'now']),
    queryFn: () => body(api.GET('/api/tanks/{tank}/water', { params: { path: path(tank) } })),
  })
}

/** Lines of a tank from one day to another, both included. */
export function useSeries(tank: Tank, from: MaybeRefOrGetter<Day>, to: MaybeRefOrGetter<Day>) {
  return useQuery({
    queryKey: computed(() => ['water', toValue(tank), 'series', toValue(from), toValue(to)]),
    queryFn: () =>
      body(
        api.GET('/api/tanks/{tank}/series', {
          params: { path: path(tank), query: { from: toValue(from), to: toValue(to) } },
        }),
      ),
    placeholderData: (before) => before,
  })
}

/** Tasks that were ever done at a tank, by id. */
export function useTasksDone(tank: Tank) {
  return useQuery({
    queryKey: computed(() => ['services', toValue(tank), 'tasks-done']),
    queryFn: () => body(api.GET('/api/tanks/{tank}/tasks-done', { params: { path: path(tank) } })),
  })
}

/** One parameter around the last services that did a task. */
export function useAround(
  tank: Tank,
  task: MaybeRefOrGetter<number | undefined>,
  parameter: MaybeRefOrGetter<string>,
) {
  return useQuery({
    queryKey: computed(() => ['water', toValue(tank), 'around', toValue(task), toValue(parameter)]),
    queryFn: () =>
      body(
        api.GET('/api/tanks/{tank}/around', {
          params: { path: path(tank), query: { task: toValue(task) ?? 0, parameter: toValue(parameter) } },
        }),
      ),
    enabled: computed(() => toValue(task) !== undefined),
  })
}

export const PAGE = 50

/** A tank's readings, latest first, one page. */
export function useReadings(tank: Tank, skip: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => ['water', toValue(tank), 'readings', toValue(skip)]),
    queryFn: () =>
      body(
        api.GET('/api/tanks/{tank}/readings', {
          params: { path: path(tank), query: { skip: toValue(skip), limit: PAGE } },
        }),
      ),
    placeholderData: (before) => before,
  })
}

export const useParameters = () =>
  useQuery({ queryKey: ['parameters'], queryFn: () => body(api.GET('/api/parameters')), staleTime: 60_000 })

export const useMethods = () =>
  useQuery({ queryKey: ['methods'], queryFn: () => body(api.GET('/api/test-methods')), staleTime: 60_000 })

export const useQuestions = () =>
  useQuery({
    queryKey: ['questions'],
    queryFn: () => body(api.GET('/api/condition-questions')),
    staleTime: Infinity,
  })

/** Readings that past services still ask for, by day. */
export function useWatches(tank: Tank) {
  return useQuery({
    queryKey: computed(() => ['water', toValue(tank), 'watches']),
    queryFn: () => body(api.GET('/api/tanks/{tank}/watches', { params: { path: path(tank) } })),
  })
}

export function useMedications(tank: Tank) {
  return useQuery({
    queryKey: computed(() => ['water', toValue(tank), 'medications']),
    queryFn: () => body(api.GET('/api/tanks/{tank}/medications', { params: { path: path(tank) } })),
  })
}

export function useReplacements(tank: Tank) {
  return useQuery({
    queryKey: computed(() => ['water', toValue(tank), 'media']),
    queryFn: () => body(api.GET('/api/tanks/{tank}/media-replacements', { params: { path: path(tank) } })),
  })
}

/** What the rule says of an exchange of bio media on a day. */
export function useMediaVerdict(
  tank: Tank,
  plan: MaybeRefOrGetter<MediaPlan | undefined>,
  on: MaybeRefOrGetter<Day>,
) {
  return useQuery({
    queryKey: computed(() => ['water', toValue(tank), 'verdict', toValue(plan), toValue(on)]),
    queryFn: () =>
      body(
        api.POST('/api/tanks/{tank}/media-verdict', {
          params: { path: path(tank), query: { on: toValue(on) } },
          body: toValue(plan) ?? { stageId: 0, grams: 1 },
        }),
      ),
    enabled: computed(() => toValue(plan) !== undefined && toValue(on) !== ''),
  })
}

/** A mutation after which the water, and all that waits for it, is asked again. */
function useChanging<I, O>(mutationFn: (input: I) => Promise<O>) {
  const client = useQueryClient()
  return useMutation({ mutationFn, onSuccess: () => forecastsStale(client) })
}

export const useKeepReadings = (tank: Tank) =>
  useChanging((set: ReadingSet) =>
    body(api.POST('/api/tanks/{tank}/readings', { params: { path: path(tank) }, body: set })),
  )

/** What is odd about some values; nothing is stored. */
export const doubtsOf = (tank: number, set: ReadingSet) =>
  body(api.POST('/api/tanks/{tank}/readings/doubts', { params: { path: { tank } }, body: set }))

export const useRemoveReading = () =>
  useChanging((id: string) => body(api.DELETE('/api/readings/{id}', { params: { path: { id } } })))

export const useRestoreReading = () =>
  useChanging((id: string) => body(api.POST('/api/readings/{id}/restore', { params: { path: { id } } })))

export const useLogChange = (tank: Tank) =>
  useChanging(({ id, change }: { id: string; change: ChangeInput }) =>
    body(
      api.PUT('/api/tanks/{tank}/water-changes/{id}', {
        params: { path: { ...path(tank), id } },
        body: change,
      }),
    ),
  )

export const useRemoveChange = () =>
  useChanging((id: string) => body(api.DELETE('/api/water-changes/{id}', { params: { path: { id } } })))

export const useMedicate = (tank: Tank) =>
  useChanging((medication: Schemas['MedicationInput']) =>
    body(api.POST('/api/tanks/{tank}/medications', { params: { path: path(tank) }, body: medication })),
  )

export const useEndMedication = (tank: Tank) =>
  useChanging(({ id, lastDay }: { id: number; lastDay: Day }) =>
    body(
      api.PUT('/api/tanks/{tank}/medications/{id}/end', {
        params: { path: { ...path(tank), id } },
        body: { lastDay },
      }),
    ),
  )

export const useCheckCondition = (tank: Tank) =>
  useChanging(({ id, check }: { id: string; check: Schemas['ConditionInput'] }) =>
    body(
      api.PUT('/api/tanks/{tank}/condition-checks/{id}', {
        params: { path: { ...path(tank), id } },
        body: check,
      }),
    ),
  )

export const useReplaceMedia = (tank: Tank) =>
  useChanging(({ id, done }: { id: string; done: Schemas['MediaDone'] }) =>
    body(
      api.PUT('/api/tanks/{tank}/media-replacements/{id}', {
        params: { path: { ...path(tank), id } },
        body: done,
      }),
    ),
  )

export function useSaveMethod() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (method: Method) => body(api.PUT('/api/test-methods', { body: method })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['methods'] }),
  })
}

export function useAddParameter() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (own: Schemas['OwnParameter']) => body(api.POST('/api/parameters', { body: own })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['parameters'] }),
  })
}

export const previewImport = (tank: number, csv: string) =>
  body(api.POST('/api/tanks/{tank}/readings/import-preview', { params: { path: { tank } }, body: { csv } }))

export const useImport = (tank: Tank) =>
  useChanging((csv: string) =>
    body(api.POST('/api/tanks/{tank}/readings/import', { params: { path: path(tank) }, body: { csv } })),
  )

/** Keeps what tap water brings, for all tanks of the site. */
export const useSaveTap = () =>
  useChanging((tap: Schemas['TapInput']) => body(api.PUT('/api/tap', { body: tap })))
