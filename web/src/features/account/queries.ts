import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { api, body, type Schemas } from '@/shared/api/client'
import { useUnitsOf } from '@/shared/units'

export type Session = Schemas['Session']

const SESSION = ['session'] as const
const ACCOUNTS = ['accounts'] as const

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

export function useSignIn() {
  return useMutation({
    mutationFn: (input: Schemas['SignIn']) => body(api.POST('/api/session', { body: input })),
    onSuccess: useFreshStart(),
  })
}

export function useSetUp() {
  return useMutation({
    mutationFn: (input: Schemas['SetUp']) => body(api.POST('/api/setup', { body: input })),
    onSuccess: useFreshStart(),
  })
}

export function useChooseUnits() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (units: Schemas['SiteUnits']) => body(api.PUT('/api/units', { body: units })),
    onSuccess: () => client.invalidateQueries({ queryKey: SESSION }),
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

function useAccountsStale() {
  const client = useQueryClient()
  return () => client.invalidateQueries({ queryKey: ACCOUNTS })
}

export function useAddHelper() {
  return useMutation({
    mutationFn: (input: Schemas['NewAccount']) => body(api.POST('/api/accounts', { body: input })),
    onSuccess: useAccountsStale(),
  })
}

export function useRemoveAccount() {
  return useMutation({
    mutationFn: (account: number) =>
      body(api.DELETE('/api/accounts/{account}', { params: { path: { account } } })),
    onSuccess: useAccountsStale(),
  })
}
