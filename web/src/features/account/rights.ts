import { texts } from './texts'
import { computed } from 'vue'
import { useSession, type Session } from './queries'

export type Role = NonNullable<Session['role']>

export const ROLES: { value: Role; label: string; hint: string }[] = [
  { value: 'HELPER', label: texts.helper, hint: texts.doesAndLogsWork },
  {
    value: 'VIEWER',
    label: texts.viewer,
    hint: texts.readsEverythingAndChanges,
  },
  { value: 'KEEPER', label: texts.keeper, hint: texts.everythingTanksFiltersThe },
]

export const roleWord = (role: Role | undefined) =>
  ROLES.find(({ value }) => value === role)?.label.toLowerCase() ?? ''

/** What whoever is signed in may do here; the server holds to the same. */
export function useRights() {
  const { data: session } = useSession()
  return {
    /** Do and log work. */
    mayWork: computed(() => session.value?.role === 'KEEPER' || session.value?.role === 'HELPER'),
    /** Everything. */
    mayKeep: computed(() => session.value?.role === 'KEEPER'),
  }
}
