import { computed } from 'vue'
import { useSession, type Session } from './queries'

export type Role = NonNullable<Session['role']>

export const ROLES: { value: Role; label: string; hint: string }[] = [
  { value: 'HELPER', label: 'Helper', hint: 'Does and logs work, and corrects what they logged.' },
  {
    value: 'VIEWER',
    label: 'Viewer',
    hint: 'Reads everything and changes nothing, as a vet or a committee.',
  },
  { value: 'KEEPER', label: 'Keeper', hint: 'Everything: tanks, filters, the plan, people.' },
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
