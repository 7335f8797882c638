import { useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, body, type Schemas } from '@/shared/api/client'

export type Forecast = Schemas['ForecastView']
export type Chapter = Schemas['ChapterView']
export type Pause = Schemas['PauseView']

export const FORECASTS = ['forecasts'] as const

/** Forecasts of one tank, or of the whole site. */
export function useForecasts(tank?: MaybeRefOrGetter<number>) {
  const id = computed(() => toValue(tank))
  return useQuery({
    queryKey: computed(() => [...FORECASTS, id.value ?? 'site']),
    queryFn: () => body(api.GET('/api/forecasts', { params: { query: { tank: id.value } } })),
  })
}

export type Opening = Schemas['OpeningView']

/** How large the next opening of each canister of a tank is to be. */
export function useOpenings(tank: MaybeRefOrGetter<number>) {
  const id = computed(() => toValue(tank))
  return useQuery({
    queryKey: computed(() => [...FORECASTS, 'openings', id.value]),
    queryFn: () => body(api.GET('/api/tanks/{tank}/openings', { params: { path: { tank: id.value } } })),
  })
}

/** How a task's interval came to be. */
export function useStory(tank: MaybeRefOrGetter<number>, task: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => ['story', toValue(tank), toValue(task)]),
    queryFn: () =>
      body(
        api.GET('/api/tanks/{tank}/tasks/{task}/story', {
          params: { path: { tank: toValue(tank), task: toValue(task) } },
        }),
      ),
  })
}

/** The figures by which the engine is explained; they change with the release only. */
export function useEngineFacts() {
  return useQuery({
    queryKey: ['engine-facts'],
    queryFn: () => body(api.GET('/api/engine-facts')),
    staleTime: Infinity,
  })
}

/** Looks at a tank's stages between services, latest first. */
export function useLooks(tank: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => ['looks', toValue(tank)]),
    queryFn: () => body(api.GET('/api/tanks/{tank}/looks', { params: { path: { tank: toValue(tank) } } })),
  })
}

export const useSaveLook = () =>
  useMoving(({ id, look }: { id: string; look: Schemas['LookInput'] }) =>
    body(api.PUT('/api/looks/{look}', { params: { path: { look: id } }, body: look })),
  )

export const useDropLook = () =>
  useMoving((id: string) => body(api.DELETE('/api/looks/{look}', { params: { path: { look: id } } })))

/** Everything that a logged service or reading, a changed tank or filter makes stale. */
export function forecastsStale(client: QueryClient): Promise<unknown> {
  return Promise.all(
    ['forecasts', 'rounds', 'services', 'water', 'procedure', 'story', 'looks', 'plan', 'chores'].map((key) =>
      client.invalidateQueries({ queryKey: [key] }),
    ),
  )
}

/** How the person who is signed in grades. */
export const useEye = () => useQuery({ queryKey: ['eye'], queryFn: () => body(api.GET('/api/eye')) })

/** Keeps the grades of the twelve pictures; dates follow. */
export function useGradePictures() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (grades: Schemas['EyeInput']['grades']) => body(api.PUT('/api/eye', { body: { grades } })),
    onSuccess: (eye) => {
      client.setQueryData(['eye'], eye)
      return forecastsStale(client)
    },
  })
}

/** When filters of a tank stood still or little was fed, oldest first. */
export function usePauses(tank: MaybeRefOrGetter<number>) {
  return useQuery({
    queryKey: computed(() => [...FORECASTS, 'pauses', toValue(tank)]),
    queryFn: () => body(api.GET('/api/tanks/{tank}/pauses', { params: { path: { tank: toValue(tank) } } })),
  })
}

/** A mutation that moves dates, so that they are asked for anew however it ends. */
function useMoving<I, O>(mutationFn: (input: I) => Promise<O>) {
  const client = useQueryClient()
  return useMutation({ mutationFn, onSettled: () => forecastsStale(client) })
}

export const useSavePause = (tank: MaybeRefOrGetter<number>) =>
  useMoving(({ id, pause }: { id: string; pause: Schemas['PauseInput'] }) =>
    body(
      api.PUT('/api/tanks/{tank}/pauses/{pause}', {
        params: { path: { tank: toValue(tank), pause: id } },
        body: pause,
      }),
    ),
  )

export const useEndPause = () =>
  useMoving(({ id, untilDay }: { id: string; untilDay: string }) =>
    body(api.PUT('/api/pauses/{pause}/end', { params: { path: { pause: id } }, body: { untilDay } })),
  )

export const useDropPause = () =>
  useMoving((id: string) => body(api.DELETE('/api/pauses/{pause}', { params: { path: { pause: id } } })))
