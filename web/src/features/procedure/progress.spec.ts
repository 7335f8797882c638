import { describe, expect, it } from 'vitest'
import { clockWords, offAdvice, offMinutes, progressOf } from './progress'
import type { GuidedEvent, Step } from './queries'

const START = Date.parse('2026-11-25T10:00:00Z')

function step(id: string, more: Partial<Step> = {}): Step {
  return { id, text: id, reason: '', cautions: [], materials: [], effects: [], ...more }
}

const STEPS = [
  step('gloves'),
  step('stop', { effects: ['POWER_OFF'] }),
  step('soak', { timerMinutes: 30 }),
  step('start', { effects: ['POWER_ON'] }),
]

/** Events a minute apart, each written as kind and step. */
function happened(written: string[]) {
  return written.map((words, minute): GuidedEvent => {
    const [kind, id = '', value = ''] = words.split(' ')
    const happenedAt = new Date(START + minute * 60_000).toISOString()
    return { id: String(minute), happenedAt, kind: kind as GuidedEvent['kind'], step: id, value }
  })
}

const after = (...written: string[]) => progressOf(STEPS, happened(written))

describe('progress of a service', () => {
  it('stands at the first step that is neither done nor skipped', () => {
    expect(after().current?.id).toBe('gloves')
    expect(after('DONE gloves', 'SKIPPED stop later').current?.id).toBe('soak')
    expect(after('DONE gloves', 'UNDONE gloves').current?.id).toBe('gloves')
    expect(after('DONE gloves', 'DONE stop', 'DONE soak', 'DONE start').current).toBeUndefined()
  })

  it('counts the filter as off from the stop to the confirmed start', () => {
    expect(after('DONE gloves').offSince).toBeUndefined()
    expect(after('DONE gloves', 'DONE stop', 'DONE soak').offSince).toBe(START + 60_000)
    expect(after('DONE stop', 'DONE start').offSince).toBeUndefined()
    expect(after('DONE stop', 'UNDONE stop').offSince).toBeUndefined()
    expect(after('DONE stop', 'DONE start', 'UNDONE start').offSince).toBe(START)
  })

  it('adds up the minutes without a filter', () => {
    expect(offMinutes(STEPS, happened(['DONE gloves']))).toBeUndefined()
    expect(offMinutes(STEPS, happened(['DONE stop', 'DONE soak', 'DONE start', 'DONE gloves']))).toBe(2)
    expect(offMinutes(STEPS, happened(['DONE stop', 'DONE start', 'DONE stop', 'DONE soak']))).toBe(2)
  })

  it('runs a timer until its step is done', () => {
    expect(after('TIMER soak').timers[0]?.endsAt).toBe(START + 30 * 60_000)
    expect(after('TIMER soak', 'DONE soak').timers).toEqual([])
  })

  it('keeps the last grade and the reason of a skip', () => {
    const progress = after('FINDING soak LIGHT', 'FINDING soak HEAVY', 'SKIPPED stop broken')

    expect(progress.findings.get('soak')).toBe('HEAVY')
    expect(progress.skipped.get('stop')).toBe('broken')
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
