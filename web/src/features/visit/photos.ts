import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { api, body, type Schemas } from '@/shared/api/client'
import { newId } from '@/shared/ids'
import { texts } from './texts'

export type Photo = Schemas['Photo']

/** Longest side of a stored photo in px; enough to read a pad, small enough for a phone's connection. */
const LONGEST = 1600
const QUALITY = 0.85

/** What photos belong to: a service by its id, or a filter by its number. */
export type PhotosOf = { service: string } | { filter: number }

export const usePhotos = (of: MaybeRefOrGetter<PhotosOf>) =>
  useQuery({
    queryKey: computed(() => ['photos', toValue(of)]),
    queryFn: () => {
      const path = toValue(of)
      return 'filter' in path
        ? body(api.GET('/api/filters/{filter}/photos', { params: { path } }))
        : body(api.GET('/api/services/{service}/photos', { params: { path } }))
    },
  })

function usePhotosStale() {
  const client = useQueryClient()
  return () => client.invalidateQueries({ queryKey: ['photos'] })
}

interface NewPhoto {
  of: PhotosOf
  moment: Photo['moment']
  /** What it shows; of a filter alone. */
  caption?: string
  file: Blob
}

export function useAddPhoto() {
  return useMutation({
    mutationFn: async ({ of, moment, caption, file }: NewPhoto) => {
      const sent = {
        body: (await resized(file)) as unknown as string,
        bodySerializer: (picture: unknown) => picture as BodyInit,
        headers: { 'Content-Type': 'image/jpeg' },
      }
      const photo = newId()
      return 'filter' in of
        ? body(
            api.PUT('/api/filters/{filter}/photos/{photo}', {
              params: { path: { ...of, photo }, query: { caption } },
              ...sent,
            }),
          )
        : body(
            api.PUT('/api/services/{service}/photos/{photo}', {
              params: { path: { ...of, photo }, query: { moment } },
              ...sent,
            }),
          )
    },
    onSuccess: usePhotosStale(),
  })
}

export function useDeletePhoto() {
  return useMutation({
    mutationFn: (photo: string) => body(api.DELETE('/api/photos/{photo}', { params: { path: { photo } } })),
    onSuccess: usePhotosStale(),
  })
}

/** Width and height that fit the longest side, in px; never enlarged. */
export function fitted(width: number, height: number): { width: number; height: number } {
  const scale = Math.min(1, LONGEST / Math.max(width, height))
  return { width: Math.round(width * scale), height: Math.round(height * scale) }
}

async function resized(file: Blob): Promise<Blob> {
  const picture = await createImageBitmap(file).catch(() => {
    throw new Error(texts.theBrowserCantRead)
  })
  const canvas = document.createElement('canvas')
  Object.assign(canvas, fitted(picture.width, picture.height))
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height)
  const smaller = await new Promise<Blob | null>((resolve) => {
    canvas.toBlob(resolve, 'image/jpeg', QUALITY)
  })
  if (!smaller) throw new Error(texts.thePhotoCouldntBe)
  return smaller
}
