import { describe, expect, it } from 'vitest'
import { overdueWords, standingWords, worst } from './standing'

const window = { earliest: '2026-11-20', ideal: '2026-11-23', latest: '2026-11-24' }

describe('how pressing a window is', () => {
  it('counts days past its latest day, one by one', () => {
    expect(standingWords('LATE', window, '2026-11-25')).toBe('1 day overdue')
    expect(standingWords('LATE', window, '2027-01-20')).toBe('57 days overdue')
  })

  it('stops counting where the number says nothing more', () => {
    expect(overdueWords(60)).toBe('60 days overdue')
    expect(overdueWords(61)).toBe('overdue')
    expect(overdueWords(1317)).toBe('overdue')
  })

  it('says what can be done and from when', () => {
    expect(standingWords('DUE', window, '2026-11-23')).toBe('due')
    expect(standingWords('OPEN', window, '2026-11-21')).toBe('fine to do now')
    expect(standingWords('LATER', window, '2026-11-01')).toBe('from 20 Nov')
  })

  it('takes the most pressing of several', () => {
    expect(worst(['LATER', 'DUE', 'OPEN'])).toBe('DUE')
    expect(worst(['OPEN', 'LATE', 'DUE'])).toBe('LATE')
    expect(worst([])).toBe('LATER')
  })
})
