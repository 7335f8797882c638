import { useMutation, useQueryClient } from '@tanstack/vue-query'
import { api, body, type Schemas } from '@/shared/api/client'

export type Bringing = Schemas['BringingView']

/** What is to come in of an archive: no tanks named means all that were not deleted there. */
export interface Choice {
  tanks: number[]
  stores: boolean
}

const sent = (file: Blob, choice: Choice) => ({
  params: { query: choice },
  body: file as unknown as string,
  bodySerializer: (whole: unknown) => whole as Blob,
  headers: { 'Content-Type': 'application/zip' },
})

/** What an archive would bring in. */
export const previewArchive = (file: Blob, choice: Choice) =>
  body(api.POST('/api/archive/preview', sent(file, choice)))

/** Brings it in; everything of the site may follow. */
export function useBringArchive() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ file, choice }: { file: Blob; choice: Choice }) =>
      body(api.POST('/api/archive', sent(file, choice))),
    onSuccess: () => queries.invalidateQueries(),
  })
}
