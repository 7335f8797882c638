import { texts } from './texts'
import type { Finding } from '@/shared/words'
import type { Guided, GuidedEvent, Step } from './queries'

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
  /** Where media came from that was in the pump; empty if there was none, undefined if nobody said. */
  stray: string | undefined
  /** Since when the filter is off, in ms; undefined while it runs. */
  offSince: number | undefined
  /** The first step that is neither done nor skipped; undefined at the end. */
  current: Step | undefined
}

const MINUTE_MS = 60_000

/**
 * Replays the events in the order they arrived, as the server does; both are held to the same examples. Of a step, a tick
 * stands until it is taken back or the step is skipped; a second tick of what stands changes nothing.
 */
export function progressOf(steps: Step[], events: GuidedEvent[]): Progress {
  const standing = ticks(events)
  const skipped = new Map<string, string>()
  const findings = new Map<string, Finding>()
  const started = new Map<string, number>()
  let stray: string | undefined
  for (const event of events) {
    if (event.kind === 'DONE' || event.kind === 'UNDONE') skipped.delete(event.step)
    else if (event.kind === 'SKIPPED') skipped.set(event.step, event.value)
    else if (event.kind === 'FINDING') grade(steps, findings, event)
    else if (event.kind === 'STRAY') stray = event.value
    else if (event.kind === 'TIMER') started.set(event.step, Date.parse(event.happenedAt))
  }
  const done = new Set(standing.keys())
  const open = (step: Step) => !done.has(step.id) && !skipped.has(step.id)
  return {
    done,
    skipped,
    findings,
    stray,
    timers: steps
      .filter((step) => step.timerMinutes !== undefined && started.has(step.id) && open(step))
      .map((step) => ({ step, endsAt: (started.get(step.id) ?? 0) + (step.timerMinutes ?? 0) * MINUTE_MS })),
    offSince: offOf(steps, events).since,
    current: steps.find(open),
  }
}

/** Ticks that stand, with when they were made, in the order they came to stand. */
function ticks(events: GuidedEvent[]): Map<string, number> {
  const standing = new Map<string, number>()
  for (const event of events) {
    if (event.kind === 'DONE' && !standing.has(event.step))
      standing.set(event.step, Date.parse(event.happenedAt))
    else if (event.kind === 'UNDONE' || event.kind === 'SKIPPED') standing.delete(event.step)
  }
  return standing
}

/** One stage has one grade, whichever of its steps asked for it. */
function grade(steps: Step[], findings: Map<string, Finding>, event: GuidedEvent) {
  const stage = steps.find((step) => step.id === event.step)?.stageId
  const same = steps.filter(
    (step) => step.id === event.step || (stage !== undefined && step.stageId === stage),
  )
  for (const { id } of same) {
    if (event.value) findings.set(id, event.value as Finding)
    else findings.delete(id)
  }
}

/** Whether a person did it, and no plug saw it. */
export const byHand = (event: GuidedEvent) => event.kind !== 'SEEN_OFF' && event.kind !== 'SEEN_ON'

/** When the filter was stopped and started, in the order it came: by ticks that stand, and by what a plug saw. */
function powerOf(steps: Step[], events: GuidedEvent[]): { on: boolean; at: number }[] {
  const power = new Map<string, { on: boolean; at: number }>()
  const effects = new Map(steps.map((step) => [step.id, step.effects]))
  for (const event of events) {
    const { id, kind, step, happenedAt } = event
    const at = Date.parse(happenedAt)
    if (!byHand(event)) power.set(id, { on: kind === 'SEEN_ON', at })
    else if (kind === 'UNDONE' || kind === 'SKIPPED') power.delete(step)
    else if (kind === 'DONE' && !power.has(step)) {
      if (effects.get(step)?.includes('POWER_OFF')) power.set(step, { on: false, at })
      else if (effects.get(step)?.includes('POWER_ON')) power.set(step, { on: true, at })
    }
  }
  return [...power.values()]
}

function offOf(steps: Step[], events: GuidedEvent[]) {
  let since: number | undefined
  let past: number | undefined
  for (const { on, at } of powerOf(steps, events)) {
    if (since === undefined && !on) since = at
    else if (since !== undefined && on) {
      past = (past ?? 0) + Math.max(0, at - since)
      since = undefined
    }
  }
  return { since, past }
}

/** Whole minutes the filter was off in all, until it started or until now; undefined if it was never stopped. */
export function offMinutes(steps: Step[], events: GuidedEvent[], now: number): number | undefined {
  const { since, past } = offOf(steps, events)
  if (since === undefined && past === undefined) return undefined
  return Math.floor(((past ?? 0) + (since === undefined ? 0 : Math.max(0, now - since))) / MINUTE_MS)
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
  if (hours) return texts.hMin(hours, minutes)
  return minutes ? texts.minS(minutes, seconds % 60) : `${String(seconds)} s`
}

/** What a filter off for so long asks for. */
export function offAdvice(ms: number): { tone: 'calm' | 'due' | 'late'; words: string } {
  const minutes = ms / MINUTE_MS
  if (minutes >= 240)
    return {
      tone: 'late',
      words: texts.offOverFourHours,
    }
  if (minutes >= 60) return { tone: 'late', words: texts.offOverAnHour }
  if (minutes >= 30) return { tone: 'due', words: texts.keepTheMediaWet }
  return { tone: 'calm', words: '' }
}

/** Whether the filter is taken down, and so meant to stay off. */
export const takesDown = (guided: Pick<Guided, 'occasion'> | undefined) =>
  guided?.occasion === 'MOVE' || guided?.occasion === 'STORE'
