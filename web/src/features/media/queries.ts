import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, body, type Schemas } from '@/shared/api/client'

const MEDIA = ['media'] as const

export type PieceInput = Schemas['PieceInput']
export type PieceMove = Schemas['PieceMove']
export type ExchangeInput = Schemas['ExchangeInput']

/** Every piece on record. */
export const usePieces = () => useQuery({ queryKey: MEDIA, queryFn: () => body(api.GET('/api/media')) })

/** One piece with the curve of its bacteria. */
export const usePiece = (piece: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: computed(() => [...MEDIA, toValue(piece)]),
    queryFn: () => body(api.GET('/api/media/{piece}', { params: { path: { piece: toValue(piece) } } })),
  })

/** What is said before a move, asked as it is typed. */
export const useAdvice = (piece: MaybeRefOrGetter<string>, input: MaybeRefOrGetter<PieceMove | undefined>) =>
  useQuery({
    queryKey: computed(() => [...MEDIA, toValue(piece), 'advice', toValue(input)]),
    queryFn: () =>
      body(
        api.POST('/api/media/{piece}/advice', {
          params: { path: { piece: toValue(piece) } },
          body: toValue(input) as PieceMove,
        }),
      ),
    enabled: computed(() => toValue(input) !== undefined),
    retry: false,
  })

/** A move changes filters, holds and looks as well. */
function useDeed<T, R>(act: (given: T) => Promise<R>) {
  const client = useQueryClient()
  return useMutation({ mutationFn: act, onSettled: () => client.invalidateQueries() })
}

export const useBeginPiece = () =>
  useDeed(({ id, input }: { id: string; input: PieceInput }) =>
    body(api.PUT('/api/media/{piece}', { params: { path: { piece: id } }, body: input })),
  )

export const useRenamePiece = () =>
  useDeed(({ id, name }: { id: string; name: string }) =>
    body(api.PUT('/api/media/{piece}/name', { params: { path: { piece: id } }, body: { name } })),
  )

export const useRemovePiece = () =>
  useDeed((id: string) => body(api.DELETE('/api/media/{piece}', { params: { path: { piece: id } } })))

export const useMovePiece = () =>
  useDeed(({ piece, move, input }: { piece: string; move: string; input: PieceMove }) =>
    body(api.PUT('/api/media/{piece}/moves/{move}', { params: { path: { piece, move } }, body: input })),
  )

export const useTakeMoveBack = () =>
  useDeed((move: string) => body(api.DELETE('/api/media-moves/{move}', { params: { path: { move } } })))

export const useQuarantineTanks = () =>
  useQuery({
    queryKey: [...MEDIA, 'quarantine'],
    queryFn: () => body(api.GET('/api/quarantine-tanks')),
  })

export const useSetQuarantine = () =>
  useDeed(({ tank, quarantine }: { tank: number; quarantine: boolean }) =>
    body(api.PUT('/api/tanks/{tank}/quarantine', { params: { path: { tank } }, body: { quarantine } })),
  )

export const useExchanges = (tank: MaybeRefOrGetter<number>) =>
  useQuery({
    queryKey: computed(() => ['exchanges', toValue(tank)]),
    queryFn: () =>
      body(api.GET('/api/tanks/{tank}/exchanges', { params: { path: { tank: toValue(tank) } } })),
  })

/** An exchange as it would go, asked as it is typed. */
export const useExchangePlan = (
  tank: MaybeRefOrGetter<number>,
  input: MaybeRefOrGetter<ExchangeInput | undefined>,
) =>
  useQuery({
    queryKey: computed(() => ['exchanges', toValue(tank), 'plan', toValue(input)]),
    queryFn: () =>
      body(
        api.POST('/api/tanks/{tank}/exchange-plan', {
          params: { path: { tank: toValue(tank) } },
          body: toValue(input) as ExchangeInput,
        }),
      ),
    enabled: computed(() => toValue(input) !== undefined),
    retry: false,
  })

export const useBeginExchange = () =>
  useDeed(({ tank, id, input }: { tank: number; id: string; input: ExchangeInput }) =>
    body(
      api.PUT('/api/tanks/{tank}/exchanges/{exchange}', {
        params: { path: { tank, exchange: id } },
        body: input,
      }),
    ),
  )

export const useStopExchange = () =>
  useDeed((id: string) =>
    body(api.DELETE('/api/exchanges/{exchange}', { params: { path: { exchange: id } } })),
  )
