import { describe, expect, it } from 'vitest'
import { ageWords, betweenWords, daysBetween, shortDay, today, windowWords } from './dates'

describe('dates', () => {
  it('counts whole days across a change of clocks', () => {
    expect(daysBetween('2026-03-28', '2026-03-30')).toBe(2)
    expect(daysBetween('2026-10-26', '2026-10-24')).toBe(-2)
  })

  it('says when a window is open, also where it is one day or years away', () => {
    const window = (earliest: string, latest: string) => ({ earliest, ideal: latest, latest })

    expect(betweenWords(window('2026-12-05', '2026-12-12'), '2026-11-25')).toBe('between 5 Dec and 12 Dec')
    expect(betweenWords(window('2026-12-17', '2026-12-17'), '2026-11-25')).toBe('on 17 Dec')
    expect(betweenWords(window('2036-12-05', '2036-12-12'), '2026-11-25')).toBe('not for years')
  })

  it('takes today from the clock it is given, not from UTC', () => {
    expect(today(new Date(2026, 0, 5, 0, 30))).toBe('2026-01-05')
  })

  it.each([
    ['2027-02-01', '1 Feb'],
    ['2028-02-01', '1 Feb 2028'],
    ['2025-11-01', '1 Nov 2025'],
  ])('names the year of %s only where the month could be taken for another', (day, words) => {
    expect(shortDay(day, '2026-11-25')).toBe(words)
  })

  it('tells a window as a span, and one day as that day', () => {
    const now = today()
    expect(windowWords({ earliest: now, ideal: now, latest: now })).not.toContain(' to ')
  })

  it('names no day for what stands still, but does for a lamp that lasts three years', () => {
    const at = (day: string) => ({ earliest: day, ideal: day, latest: day })
    expect(windowWords(at('2036-11-25'), '2026-11-25')).toBe('not for years')
    expect(windowWords(at('2029-11-25'), '2026-11-25')).toBe('25 Nov 2029')
  })

  it.each([
    ['2026-11-24', '1 day'],
    ['2026-10-14', '42 days'],
    ['2026-05-25', '6 months'],
    ['2023-11-20', '3 years'],
  ])('tells the age of something set up on %s', (since, words) => {
    expect(ageWords(since, '2026-11-25')).toBe(words)
  })
})
