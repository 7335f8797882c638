import type { Finding } from '@/shared/words'
import type { GuidedEvent, Step } from './queries'

/** A wait that is running: which step, and when it ends. */
export interface Timer {
  step: Step
  endsAt: number
}

/** What the events of a service add up to. */
export interface Progress {
  done: Set<string>
  skipped: Map<string, string>
  findings: Map<string, Finding>
  timers: Timer[]
  /** Since when the filter is off, in ms; undefined while it runs. */
  offSince: number | undefined
  /** The first step that is neither done nor skipped; undefined at the end. */
  current: Step | undefined
}

const MINUTE_MS = 60_000

/** Replays the events in the order they happened. */
export function progressOf(steps: Step[], events: GuidedEvent[]): Progress {
  const done = new Set<string>()
  const skipped = new Map<string, string>()
  const findings = new Map<string, Finding>()
  const started = new Map<string, number>()
  let offSince: number | undefined
  let lastOff: number | undefined
  for (const event of events) {
    const at = Date.parse(event.happenedAt)
    const step = steps.find((one) => one.id === event.step)
    if (event.kind === 'DONE') {
      done.add(event.step)
      skipped.delete(event.step)
      if (step?.effects.includes('POWER_OFF')) lastOff = offSince = at
      if (step?.effects.includes('POWER_ON')) offSince = undefined
    } else if (event.kind === 'UNDONE') {
      done.delete(event.step)
      skipped.delete(event.step)
      if (step?.effects.includes('POWER_OFF')) lastOff = offSince = undefined
      if (step?.effects.includes('POWER_ON')) offSince = lastOff
    } else if (event.kind === 'SKIPPED') skipped.set(event.step, event.value)
    else if (event.kind === 'FINDING') findings.set(event.step, event.value as Finding)
    else if (event.kind === 'TIMER') started.set(event.step, at)
  }
  const timers = steps
    .filter((step) => started.has(step.id) && !done.has(step.id) && !skipped.has(step.id))
    .map((step) => ({ step, endsAt: (started.get(step.id) ?? 0) + (step.timerMinutes ?? 0) * MINUTE_MS }))
  return {
    done,
    skipped,
    findings,
    timers,
    offSince,
    current: steps.find((step) => !done.has(step.id) && !skipped.has(step.id)),
  }
}

/** Whole minutes the filter was off in all; undefined if it was never stopped. Still off counts to the last event. */
export function offMinutes(steps: Step[], events: GuidedEvent[]): number | undefined {
  let since: number | undefined
  let total: number | undefined
  for (const event of events) {
    const effects = event.kind === 'DONE' ? steps.find((step) => step.id === event.step)?.effects : undefined
    if (effects?.includes('POWER_OFF')) since ??= Date.parse(event.happenedAt)
    if (since !== undefined && effects?.includes('POWER_ON')) {
      total = (total ?? 0) + Date.parse(event.happenedAt) - since
      since = undefined
    }
  }
  if (since !== undefined) total = (total ?? 0) + Date.parse(events.at(-1)?.happenedAt ?? '') - since
  return total === undefined ? undefined : Math.round(total / MINUTE_MS)
}

/** "18:40", or "1:02:05" past an hour; never below zero. */
export function clockWords(ms: number): string {
  const seconds = Math.max(0, Math.round(ms / 1000))
  const pad = (part: number) => String(part).padStart(2, '0')
  const hours = Math.floor(seconds / 3600)
  const rest = `${pad(Math.floor(seconds / 60) % 60)}:${pad(seconds % 60)}`
  return hours ? `${String(hours)}:${rest}` : rest
}

/** A span of time in words: "40 s", "18 min 40 s", "2 h 5 min". */
export function spanWords(ms: number): string {
  const seconds = Math.max(0, Math.round(ms / 1000))
  const hours = Math.floor(seconds / 3600)
  const minutes = Math.floor(seconds / 60) % 60
  if (hours) return `${String(hours)} h ${String(minutes)} min`
  return minutes ? `${String(minutes)} min ${String(seconds % 60)} s` : `${String(seconds)} s`
}

/** What a filter off for so long asks for. */
export function offAdvice(ms: number): { tone: 'calm' | 'due' | 'late'; words: string } {
  const minutes = ms / MINUTE_MS
  if (minutes >= 240)
    return {
      tone: 'late',
      words: 'Off over four hours: rinse the media before the restart, and test ammonia on days 1 and 3.',
    }
  if (minutes >= 60)
    return { tone: 'late', words: 'Off over an hour: media under tank water, with an air stone.' }
  if (minutes >= 30) return { tone: 'due', words: 'Keep the media wet and aired.' }
  return { tone: 'calm', words: '' }
}
