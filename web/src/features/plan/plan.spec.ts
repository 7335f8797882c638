import { describe, expect, it } from 'vitest'
import { addDays } from '@/shared/dates'
import { afterMonday, costWords, hoursWords, itemsOf, lanes, marked, weeksOf, workWords } from './plan'
import type { PlanDay, PlannedVisit } from './queries'

const day = (on: string): PlanDay => ({ on, minutes: 0, keeperMinutes: 60, helperMinutes: 0 })
const task = (chain: number, name: string) =>
  ({ chain, name, minutes: 5, pinned: false }) as PlannedVisit['tasks'][number]
const visit = (on: string, ...tasks: PlannedVisit['tasks']) => ({ id: on, on, tasks }) as PlannedVisit

describe('weeksOf', () => {
  it('begins on the Monday before and marks days outside the plan', () => {
    const days = ['2026-11-26', '2026-11-27', '2026-11-28', '2026-11-29', '2026-11-30'].map(day)

    const weeks = weeksOf(days, [visit('2026-11-30', task(1, 'Rinse'))])

    expect(weeks).toHaveLength(2)
    expect(weeks[0]?.map((cell) => cell.on)[0]).toBe('2026-11-23')
    expect(weeks[0]?.map((cell) => cell.day !== undefined)).toEqual([
      false,
      false,
      false,
      true,
      true,
      true,
      true,
    ])
    expect(weeks[1]?.[0]?.visits).toHaveLength(1)
  })

  it('is empty without days', () => {
    expect(weeksOf([], [])).toEqual([])
  })

  it.each([
    ['2026-11-23', 0],
    ['2026-11-29', 6],
    ['2023-12-31', 6],
  ])('counts %s as %i days after Monday', (on, expected) => {
    expect(afterMonday(on)).toBe(expected)
  })
})

describe('words', () => {
  it.each([
    [9.4, false, '+9 min'],
    [-3, false, '−3 min'],
    [0.2, false, 'same'],
    [500, true, 'breaks a rule'],
  ])('tells a price of %d', (minutesDearer, breaksRules, words) => {
    expect(costWords({ on: '2026-11-30', minutesDearer, breaksRules, words: '' })).toBe(words)
  })

  it('tells minutes as hours', () => {
    expect([45, 60, 85].map(hoursWords)).toEqual(['45 min', '1 h', '1 h 25 min'])
  })

  it('names the work of a short visit and counts that of a long one', () => {
    const two = visit('2026-11-30', task(1, 'Rinse the pre-filter'), task(2, 'Water change'))

    expect(workWords(two)).toBe('rinse the pre-filter, water change')
    expect(workWords(visit('2026-11-30', ...two.tasks, task(3, 'Change floss')))).toBe('3 tasks')
    expect(itemsOf(two, [2])).toEqual([{ chain: 2, on: '2026-11-30' }])
  })
})

describe('names under the strip', () => {
  const from = (first: string, many: number) => Array.from({ length: many }, (_, i) => addDays(first, i))

  it('are the first day and the first of each month', () => {
    expect([...marked(from('2026-11-08', 56))]).toEqual(['2026-11-08', '2026-12-01'])
    expect([...marked(from('2026-11-02', 28))]).toEqual(['2026-11-02'])
  })

  it('never run into each other, nor off the edge', () => {
    expect([...marked(from('2026-11-28', 56))]).toEqual(['2026-12-01', '2027-01-01'])
    expect([...marked(from('2026-11-10', 56))]).toEqual(['2026-11-10', '2026-12-01'])
    expect([...marked([])]).toEqual([])
  })
})

describe('lanes', () => {
  const spots = (...at: number[]) => at.map((each) => ({ at: each, size: 24 }))

  it('are one where nothing touches, and none where there is nothing', () => {
    expect(lanes(spots(0, 24, 50))).toEqual([0, 0, 0])
    expect(lanes([])).toEqual([])
  })

  it('are as many as lie over one another, the first free one taken', () => {
    expect(lanes(spots(0, 10, 20, 24, 40))).toEqual([0, 1, 2, 0, 1])
  })

  it('go by size', () => {
    expect(
      lanes([
        { at: 0, size: 10 },
        { at: 20, size: 34 },
        { at: 37, size: 10 },
      ]),
    ).toEqual([0, 1, 0])
  })

  it('never let one cover another in its lane', () => {
    const at = Array.from({ length: 80 }, (_, i) => i * 11 + (i % 7))
    const taken = lanes(spots(...at))
    for (const lane of new Set(taken)) {
      const own = at.filter((_, i) => taken[i] === lane)
      own.slice(1).forEach((each, i) => expect(each - (own[i] ?? 0)).toBeGreaterThanOrEqual(24))
    }
  })
})
