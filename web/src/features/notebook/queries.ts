import { useMutation, useQueryClient } from '@tanstack/vue-query'
import { api, body, type Schemas } from '@/shared/api/client'

export type KeyView = Schemas['KeyView']
export type Key = Schemas['KeyInput']
export type Column = Schemas['ColumnInput']
export type Phrase = Schemas['PhraseInput']
export type Preview = Schemas['Preview']
export type Brought = Schemas['Brought']

/** How a table is most likely meant; with a key, under the columns it names. */
export const guessKey = (tank: number, csv: string, key?: Key) =>
  body(api.POST('/api/tanks/{tank}/notebook/key', { params: { path: { tank } }, body: { csv, key } }))

/** What a table would bring in. */
export const previewNotebook = (tank: number, csv: string, key: Key) =>
  body(api.POST('/api/tanks/{tank}/notebook/preview', { params: { path: { tank } }, body: { csv, key } }))

/** Brings a table in; every date of the site may follow. */
export function useBringIn(tank: () => number) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (table: { csv: string; key: Key; withoutFaults: boolean }) =>
      body(api.POST('/api/tanks/{tank}/notebook', { params: { path: { tank: tank() } }, body: table })),
    onSuccess: () => queries.invalidateQueries(),
  })
}
