import { texts } from './texts'
import { useKept } from '@/shared/kept'
import type { Method } from './queries'

/** A test under way: when each of its steps ends, in ms. */
export interface RunningTest {
  startedAt: number
}

export interface TestState {
  /** What to do now; undefined once it may be read. */
  step: Method['steps'][number]['what'] | undefined
  leftMs: number
}

const SECOND_MS = 1000

/** Where a test stands. */
export function stateOf(method: Method, startedAt: number, now: number): TestState {
  let ends = startedAt
  for (const step of method.steps) {
    ends += step.seconds * SECOND_MS
    if (now < ends) return { step: step.what, leftMs: ends - now }
  }
  return { step: undefined, leftMs: 0 }
}

/** A value being typed. */
export interface ValueDraft {
  id: string
  text: string
  method: string
  /** When the kit was started, in ms; undefined if it was not timed. */
  startedAt?: number
  early: boolean
}

export interface SetDraft {
  moment: 'PLAIN' | 'BEFORE' | 'AFTER'
  /** Empty for now. */
  takenAt: string
  values: Record<string, ValueDraft>
}

const blank = (): SetDraft => ({ moment: 'PLAIN', takenAt: '', values: {} })

/** A set being entered on a tank; kept in this browser until it is saved, so that timers and values outlive the page. */
export function keptSet(tank: number) {
  const draft = useKept(`chervil.readings.${String(tank)}`, blank).kept.value
  const clear = () => {
    Object.assign(draft, blank())
  }
  return { draft, clear }
}

/** A step's time as a label prints it: seconds under two minutes, else minutes. */
export const lasting = (seconds: number) =>
  seconds >= 120 && seconds % 60 === 0 ? texts.min(seconds / 60) : `${String(seconds)} s`
