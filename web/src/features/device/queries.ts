import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { useEventSource } from '@vueuse/core'
import { computed, toValue, watch, type MaybeRefOrGetter } from 'vue'
import { api, body, type Schemas } from '@/shared/api/client'
import { onceItIsBack } from '@/shared/asking'

const DEVICES = ['devices'] as const
const ALERTS = ['alerts'] as const
const MAIL = ['alert-mail'] as const
const STAND_INS = ['stand-ins'] as const
const LOOKS_EVERY = 5_000
const WITHOUT_WORD = 60_000

export type Alert = Schemas['AlertView']

/** Devices as they stand, looked at again every few seconds while somebody looks. */
export const useDevices = () =>
  useQuery({
    queryKey: DEVICES,
    queryFn: () => body(api.GET('/api/devices')),
    refetchInterval: LOOKS_EVERY,
  })

export const useAlerts = () =>
  useQuery({
    queryKey: ALERTS,
    queryFn: () => body(api.GET('/api/alerts')),
    refetchInterval: onceItIsBack((alerts) => (alerts?.watched ? WITHOUT_WORD : false)),
  })

/** Has the alerts asked for again whenever the server says that they changed. */
export function useAlertWord() {
  const client = useQueryClient()
  // Each word carries the moment of the change, so that no two are alike.
  const { data } = useEventSource('/api/alerts/stream', ['alerts'] as const, {
    autoReconnect: { retries: () => true, delay: 3000 },
  })
  watch(data, () => void client.invalidateQueries({ queryKey: ALERTS }))
}

export const useSeries = (device: MaybeRefOrGetter<number>, hours: MaybeRefOrGetter<number>) =>
  useQuery({
    queryKey: computed(() => [...DEVICES, 'series', toValue(device), toValue(hours)]),
    queryFn: () =>
      body(
        api.GET('/api/devices/{device}/series', {
          params: { path: { device: toValue(device) }, query: { hours: toValue(hours) } },
        }),
      ),
    refetchInterval: 2 * LOOKS_EVERY,
  })

function useDeed<T, R>(act: (given: T) => Promise<R>) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: act,
    onSettled: () => Promise.all([DEVICES, ALERTS].map((queryKey) => client.invalidateQueries({ queryKey }))),
  })
}

export const useFit = () =>
  useDeed((input: Schemas['DeviceInput']) => body(api.POST('/api/devices', { body: input })))

export const useChangeDevice = () =>
  useDeed(({ device, ...input }: Schemas['DeviceChange'] & { device: number }) =>
    body(api.PUT('/api/devices/{device}', { params: { path: { device } }, body: input })),
  )

export const useToken = () =>
  useDeed((device: number) => body(api.POST('/api/devices/{device}/token', { params: { path: { device } } })))

export const useTested = () =>
  useDeed((device: number) => body(api.PUT('/api/devices/{device}/tested', { params: { path: { device } } })))

export const useRemoveDevice = () =>
  useDeed((device: number) => body(api.DELETE('/api/devices/{device}', { params: { path: { device } } })))

export const useSwitch = () =>
  useDeed(({ device, ...input }: Schemas['SwitchInput'] & { device: number }) =>
    body(api.POST('/api/devices/{device}/switch', { params: { path: { device } }, body: input })),
  )

export const useSeen = () =>
  useDeed((alert: number) => body(api.PUT('/api/alerts/{alert}/seen', { params: { path: { alert } } })))

export const useQuiet = () =>
  useDeed(({ alert, minutes }: { alert: number; minutes: number }) =>
    body(api.PUT('/api/alerts/{alert}/quiet', { params: { path: { alert } }, body: { minutes } })),
  )

export const useTakeAsUsual = () =>
  useDeed((alert: number) => body(api.POST('/api/alerts/{alert}/usual', { params: { path: { alert } } })))

export const useUndoPress = () =>
  useDeed((alert: number) => body(api.DELETE('/api/alerts/{alert}/service', { params: { path: { alert } } })))

export const useAlertMail = () =>
  useQuery({ queryKey: MAIL, queryFn: () => body(api.GET('/api/alert-mail')) })

export function useSaveAlertMail() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (wish: Schemas['AlertMailInput'] | undefined) =>
      wish ? body(api.PUT('/api/alert-mail', { body: wish })) : body(api.DELETE('/api/alert-mail')),
    onSuccess: () => client.invalidateQueries({ queryKey: MAIL }),
  })
}

export const useStandIns = () =>
  useQuery({
    queryKey: STAND_INS,
    queryFn: () => body(api.GET('/api/stand-ins')),
    refetchInterval: onceItIsBack((standIns) => (standIns?.present ? LOOKS_EVERY : false)),
  })

export function useWorkStandIns() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (deed: Schemas['StandInDeed']) => body(api.POST('/api/stand-ins', { body: deed })),
    onSuccess: () =>
      Promise.all([STAND_INS, DEVICES].map((queryKey) => client.invalidateQueries({ queryKey }))),
  })
}
