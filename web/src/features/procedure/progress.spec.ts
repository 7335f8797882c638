import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { byHand, clockWords, offAdvice, offMinutes, progressOf } from './progress'
import type { GuidedEvent, Step } from './queries'

const START = Date.parse('2026-11-25T10:00:00Z')

function step(id: string, more: Partial<Step> = {}): Step {
  return { id, text: id, reason: '', cautions: [], materials: [], effects: [], ...more }
}

interface Expected {
  done?: string[]
  skipped?: string[]
  current?: string
  offSince?: number
  offMinutes?: number
  grades?: Record<string, string>
  stray?: string
  timers?: Record<string, number>
}

interface Example {
  name: string
  events: string[]
  now: number
  expect: Expected
}

/** The examples that the server is held to as well; times in minutes. */
const shared = JSON.parse(readFileSync('../core/src/test/resources/vectors/guided-work.json', 'utf8')) as {
  steps: { id: string; effects?: Step['effects']; timerMinutes?: number; stage?: number }[]
  cases: Example[]
}
const SHARED_STEPS = shared.steps.map(({ id, effects = [], timerMinutes, stage }) =>
  step(id, { effects, timerMinutes, stageId: stage }),
)
const at = (minute: number) => START + minute * 60_000

/** Written as minute, kind, step and value. */
function event(written: string): GuidedEvent {
  const [minute = '0', kind, id = '', ...value] = written.split(' ')
  return {
    id: written,
    happenedAt: new Date(at(Number(minute))).toISOString(),
    kind: kind as GuidedEvent['kind'],
    step: id,
    value: value.join(' '),
  }
}

describe('progress of a service, by the examples shared with the server', () => {
  it.each(shared.cases)('$name', ({ events, now, expect: told }) => {
    const progress = progressOf(SHARED_STEPS, events.map(event))
    const here = (id: string) => SHARED_STEPS.some((one) => one.id === id)

    expect([...progress.done].filter(here).toSorted()).toEqual((told.done ?? []).toSorted())
    expect([...progress.skipped.keys()].toSorted()).toEqual((told.skipped ?? []).toSorted())
    expect(progress.current?.id).toBe(told.current)
    expect(progress.offSince).toBe(told.offSince === undefined ? undefined : at(told.offSince))
    expect(offMinutes(SHARED_STEPS, events.map(event), at(now))).toBe(told.offMinutes)
    expect(progress.stray || undefined).toBe(told.stray)
    expect(progress.findings.get('out:7')).toBe(told.grades?.['7'])
    expect(Object.fromEntries(progress.timers.map((timer) => [timer.step.id, timer.endsAt]))).toEqual(
      Object.fromEntries(Object.entries(told.timers ?? {}).map(([id, end]) => [id, at(end)])),
    )
  })

  it('are enough of them to mean something', () => {
    expect(shared.cases.length).toBeGreaterThan(20)
  })
})

describe('what is told of a service', () => {
  it('keeps the reason of a skip', () => {
    expect(progressOf(SHARED_STEPS, [event('5 SKIPPED stop no plug in reach')]).skipped.get('stop')).toBe(
      'no plug in reach',
    )
  })

  it('does not take for work what a plug saw', () => {
    expect([event('3 SEEN_OFF -'), event('4 DONE stop'), event('5 SEEN_ON -')].filter(byHand)).toEqual([
      event('4 DONE stop'),
    ])
  })

  it.each([
    [-5, '00:00'],
    [1_120_000, '18:40'],
    [3_725_000, '1:02:05'],
  ])('tells %d ms as %s', (ms, words) => {
    expect(clockWords(ms)).toBe(words)
  })

  it.each([
    [29, 'calm'],
    [30, 'due'],
    [59, 'due'],
    [60, 'late'],
    [240, 'late'],
  ])('after %d minutes off the clock is %s', (minutes, tone) => {
    expect(offAdvice(minutes * 60_000).tone).toBe(tone)
  })

  it('asks for a rinse before the restart after four hours', () => {
    expect(offAdvice(240 * 60_000).words).toContain('rinse the media before the restart')
    expect(offAdvice(239 * 60_000).words).not.toContain('restart')
  })
})
