import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, body, type Schemas } from '@/shared/api/client'

export type Stores = Schemas['StoresView']
export type StockItem = Schemas['ItemView']
export type StockItemInput = Schemas['StockItemInput']
export type StockMove = Schemas['MoveView']
export type Supply = Schemas['SupplyView']
export type StockMoveInput = Schemas['StockMoveInput']

const STORES = ['stores'] as const

/** Everything in the stores, what is to be ordered first. */
export function useStores() {
  return useQuery({ queryKey: STORES, queryFn: () => body(api.GET('/api/stores')), staleTime: 0 })
}

/** What happened to an item, latest first. */
export function useStockMoves(item: MaybeRefOrGetter<number | undefined>) {
  return useQuery({
    queryKey: computed(() => [...STORES, toValue(item), 'moves']),
    queryFn: () =>
      body(api.GET('/api/stores/items/{id}/moves', { params: { path: { id: toValue(item) ?? 0 } } })),
    enabled: computed(() => toValue(item) !== undefined),
    staleTime: 0,
  })
}

/** A mutation after which the stores are asked for anew. */
function useStocking<I, O>(mutationFn: (input: I) => Promise<O>) {
  const client = useQueryClient()
  return useMutation({ mutationFn, onSuccess: () => client.invalidateQueries({ queryKey: STORES }) })
}

export const useAddItem = () =>
  useStocking((item: StockItemInput) => body(api.POST('/api/stores/items', { body: item })))

export const useChangeItem = () =>
  useStocking(({ id, version, item }: { id: number; version: number; item: StockItemInput }) =>
    body(api.PUT('/api/stores/items/{id}', { params: { path: { id } }, body: { version, item } })),
  )

export const useRemoveItem = () =>
  useStocking((id: number) => body(api.DELETE('/api/stores/items/{id}', { params: { path: { id } } })))

export const useRestoreItem = () =>
  useStocking((id: number) => body(api.POST('/api/stores/items/{id}/restore', { params: { path: { id } } })))

export const useMove = () =>
  useStocking(({ id, ...move }: StockMoveInput & { id: string }) =>
    body(api.PUT('/api/stores/moves/{id}', { params: { path: { id } }, body: move })),
  )

export const useTakeMoveBack = () =>
  useStocking((id: string) => body(api.DELETE('/api/stores/moves/{id}', { params: { path: { id } } })))

/** Opens a kit: its parts are on the shelf. It is taken back like a move. */
export const useOpenKit = () =>
  useStocking(({ id, ...kit }: Schemas['KitOpened'] & { id: string }) =>
    body(api.PUT('/api/stores/openings/{id}', { params: { path: { id } }, body: kit })),
  )
