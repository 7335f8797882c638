import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { api, body, type Schemas } from '@/shared/api/client'
import { useUnitsOf } from '@/shared/units'
import { showPasskey } from './passkeys'

export type Session = Schemas['Session']
type Role = NonNullable<Session['role']>

const SESSION = ['session'] as const
const ACCOUNTS = ['accounts'] as const
const INVITATIONS = ['invitations'] as const
const SESSIONS = ['own-sessions'] as const

const KEPT = 'chervil.session'

/** Who was signed in here last, so that the shell opens at the tank without a connection. */
function keptSession(): Session | undefined {
  try {
    const session = JSON.parse(localStorage.getItem(KEPT) ?? '') as Session
    useUnitsOf(session.units)
    return session
  } catch {
    return undefined
  }
}

export const sessionOptions = {
  queryKey: SESSION,
  queryFn: async () => {
    const session = await body(api.GET('/api/session'))
    useUnitsOf(session.units)
    localStorage.setItem(KEPT, JSON.stringify(session))
    return session
  },
  initialData: keptSession,
  initialDataUpdatedAt: 0,
  staleTime: 5 * 60_000,
  networkMode: 'always' as const,
}

export const useSession = () => useQuery(sessionOptions)

/** Whatever was known belonged to somebody else. */
function useFreshStart() {
  const client = useQueryClient()
  return async () => {
    client.removeQueries({ predicate: (query) => query.queryKey[0] !== SESSION[0] })
    await client.invalidateQueries({ queryKey: SESSION })
  }
}

/** On another site everything begins anew: questions that are still on their way would bring answers of the one before. */
function beginAnew() {
  localStorage.removeItem(KEPT)
  location.assign('/')
}

function useStale(key: readonly string[]) {
  const client = useQueryClient()
  return () => client.invalidateQueries({ queryKey: key })
}

export function useSignIn() {
  return useMutation({
    mutationFn: (input: Schemas['SignIn']) => body(api.POST('/api/session', { body: input })),
    onSuccess: useFreshStart(),
  })
}

const PASSKEYS = ['passkeys'] as const

export const usePasskeys = () =>
  useQuery({ queryKey: PASSKEYS, queryFn: () => body(api.GET('/api/own/passkeys')) })

/** What this device is to be asked to make a passkey. */
export const askForPasskey = (password: string) =>
  body(api.POST('/api/own/passkeys/options', { body: { password } }))

export function useAddPasskey() {
  return useMutation({
    mutationFn: (made: Schemas['NewPasskey']) => body(api.POST('/api/own/passkeys', { body: made })),
    onSuccess: useStale(PASSKEYS),
  })
}

export function useRemovePasskey() {
  return useMutation({
    mutationFn: (passkey: string) =>
      body(api.DELETE('/api/own/passkeys/{passkey}', { params: { path: { passkey } } })),
    onSuccess: useStale(PASSKEYS),
  })
}

/** Comes in by a passkey of this device; not at all if its person says no. */
export function usePasskeySignIn() {
  const fresh = useFreshStart()
  return useMutation({
    mutationFn: async () => {
      const credential = await showPasskey(await body(api.POST('/api/passkey-options')))
      if (!credential) return
      await body(api.POST('/api/passkey-session', { body: { credential } }))
      await fresh()
    },
  })
}

export function useSetUp() {
  return useMutation({
    mutationFn: (input: Schemas['SetUp']) => body(api.POST('/api/setup', { body: input })),
    onSuccess: useFreshStart(),
  })
}

export function useChooseUnits() {
  return useMutation({
    mutationFn: (units: Schemas['SiteUnits']) => body(api.PUT('/api/units', { body: units })),
    onSuccess: useStale(SESSION),
  })
}

export function useSignOut() {
  return useMutation({ mutationFn: () => body(api.DELETE('/api/session')), onSuccess: useFreshStart() })
}

/** Demo only; the server has no such door otherwise. */
export function useDemoDoor() {
  return useMutation({
    mutationFn: (login: string) =>
      body(api.POST('/api/demo-session/{login}', { params: { path: { login } } })),
    onSuccess: useFreshStart(),
  })
}

export const useAccounts = () =>
  useQuery({ queryKey: ACCOUNTS, queryFn: () => body(api.GET('/api/accounts')) })

export function useChangeRole() {
  return useMutation({
    mutationFn: ({ account, role }: { account: number; role: Role }) =>
      body(api.PUT('/api/accounts/{account}/role', { params: { path: { account } }, body: { role } })),
    onSuccess: useStale(ACCOUNTS),
  })
}

export function useRemoveAccount() {
  return useMutation({
    mutationFn: (account: number) =>
      body(api.DELETE('/api/accounts/{account}', { params: { path: { account } } })),
    onSuccess: useStale(ACCOUNTS),
  })
}

/** A code by which somebody chooses a new password; told this once. */
export function useRecovery() {
  return useMutation({
    mutationFn: (account: number) =>
      body(api.POST('/api/accounts/{account}/recovery', { params: { path: { account } } })),
  })
}

export const useInvitations = () =>
  useQuery({ queryKey: INVITATIONS, queryFn: () => body(api.GET('/api/invitations')) })

export function useInvite() {
  return useMutation({
    mutationFn: (input: Schemas['InvitationInput']) => body(api.POST('/api/invitations', { body: input })),
    onSuccess: useStale(INVITATIONS),
  })
}

export function useTakeBack() {
  return useMutation({
    mutationFn: (mark: string) => body(api.DELETE('/api/invitations/{mark}', { params: { path: { mark } } })),
    onSuccess: useStale(INVITATIONS),
  })
}

/** Where an invitation leads; asked by POST, so that its code stands in nobody's log. */
export const useOffer = (code: string) =>
  useQuery({
    queryKey: ['offer', code],
    queryFn: () => body(api.POST('/api/invitation-look', { body: { code } })),
    retry: false,
  })

export function useJoin() {
  return useMutation({
    mutationFn: (input: Schemas['Joining']) => body(api.POST('/api/joining', { body: input })),
    onSuccess: beginAnew,
  })
}

export function useRecover() {
  return useMutation({
    mutationFn: (input: Schemas['NewPassword']) => body(api.POST('/api/recovery', { body: input })),
    onSuccess: beginAnew,
  })
}

export function useChangePassword() {
  return useMutation({
    mutationFn: (input: Schemas['PasswordChange']) => body(api.PUT('/api/own/password', { body: input })),
    onSuccess: useStale(SESSIONS),
  })
}

export const useOwnSessions = () =>
  useQuery({ queryKey: SESSIONS, queryFn: () => body(api.GET('/api/own/sessions')) })

export function useEndSession() {
  return useMutation({
    mutationFn: (mark: string) =>
      body(api.DELETE('/api/own/sessions/{mark}', { params: { path: { mark } } })),
    onSuccess: useStale(SESSIONS),
  })
}

export function useGoTo() {
  return useMutation({
    mutationFn: (siteId: number) => body(api.PUT('/api/session/site', { body: { siteId } })),
    onSuccess: beginAnew,
  })
}

export function useFound() {
  return useMutation({
    mutationFn: (name: string) => body(api.POST('/api/own/sites', { body: { name } })),
    onSuccess: beginAnew,
  })
}

export function useLeave() {
  return useMutation({ mutationFn: () => body(api.DELETE('/api/own/place')), onSuccess: beginAnew })
}

export function useDeleteSite() {
  return useMutation({
    mutationFn: (name: string) => body(api.POST('/api/site/deletion', { body: { name } })),
    onSuccess: useStale(SESSION),
  })
}

export function useBringBack() {
  return useMutation({
    mutationFn: (site: number) =>
      body(api.POST('/api/own/sites/{site}/return', { params: { path: { site } } })),
    onSuccess: useStale(SESSION),
  })
}

/** What people did, a page at a time, the latest first. */
export const useDeeds = () =>
  useInfiniteQuery({
    queryKey: ['deeds'],
    queryFn: ({ pageParam }) =>
      body(
        api.GET('/api/deeds', { params: { query: pageParam === undefined ? {} : { before: pageParam } } }),
      ),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (last) => (last.length < 100 ? undefined : last.at(-1)?.id),
  })
