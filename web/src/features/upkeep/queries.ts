import { useQuery } from '@tanstack/vue-query'
import { api, body, type Schemas } from '@/shared/api/client'

export type Backup = Schemas['BackupView']

const AN_HOUR_MS = 3_600_000

/** How the data is backed up; asked for now and then, for it changes by night. */
export const useBackup = () =>
  useQuery({
    queryKey: ['backup'],
    queryFn: () => body(api.GET('/api/backup')),
    refetchInterval: AN_HOUR_MS,
    staleTime: AN_HOUR_MS,
  })

/** How phones in the house reach the site. */
export const useHouse = () =>
  useQuery({ queryKey: ['house'], queryFn: () => body(api.GET('/api/house')), staleTime: AN_HOUR_MS })
