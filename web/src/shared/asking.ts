import type { Ref } from 'vue'
import { Problem } from './problem'

/** How soon whatever could not be had is asked for again. */
const AGAIN_MS = 5_000
const TRIES = 3

/** Nobody there, or somebody before the server, or the server itself, says that what it needs is not. */
const AWAY = new Set([0, 502, 503, 504])

/** Whether the network, the server or its records are away, and may come back by themselves. */
export const isAway = (failure: unknown): boolean => failure instanceof Problem && AWAY.has(failure.status)

/** While the server is away, when to ask again; otherwise in the question's own rhythm, by what it knows. */
export const onceItIsBack =
  <T>(own: (known: T | undefined) => number | false = () => false) =>
  ({ state }: { state: { status: string; error: unknown; data: T | undefined } }): number | false =>
    state.status === 'error' && isAway(state.error) ? AGAIN_MS : own(state.data)

/** How the server is asked; a refusal is an answer, and nobody asks twice for that. */
export const ASKING = {
  staleTime: 20_000,
  retry: (before: number, failure: unknown) =>
    before + 1 < TRIES && !(failure instanceof Problem && failure.refuses),
  refetchInterval: onceItIsBack(),
}

interface Asked {
  data: Readonly<Ref<unknown>>
  error: Readonly<Ref<unknown>>
}

/**
 * Why a view cannot be shown: what it asks for was refused, or never came. What came once stays on the screen while the
 * server is away.
 */
export function lacking(...queries: Asked[]): unknown {
  const missed = queries.find(
    ({ data, error }) => error.value && (data.value === undefined || !isAway(error.value)),
  )
  return missed?.error.value ?? null
}
