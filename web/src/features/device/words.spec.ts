import { describe, expect, it } from 'vitest'
import { KINDS, measures, onFilter, onStage, readingWords, sinceWords } from './words'

describe('a reading', () => {
  it.each([
    ['FLOW', 684.2, '684 L/h'],
    ['TEMPERATURE', 25.4, '25.4 °C'],
    ['PLUG', 18.04, '18 W'],
    ['LAMP', 1203.7, '1,204 h'],
    ['LEAK', 1, 'wet'],
    ['LEAK', 0, 'dry'],
    ['LEVEL', 1, 'low'],
    ['BUTTON', 1, 'pressed'],
  ] as const)('of a %s, %d, is told as %s', (kind, value, words) => {
    expect(readingWords(kind, value).replaceAll(' ', ' ')).toBe(words)
  })
})

describe('how long ago', () => {
  const now = Date.parse('2026-06-01T12:00:00Z')
  it.each([
    ['2026-06-01T11:59:30Z', 'just now'],
    ['2026-06-01T12:00:30Z', 'just now'],
    ['2026-06-01T11:55:00Z', '5 min ago'],
    ['2026-06-01T07:00:00Z', '5 h ago'],
    ['2026-05-25T12:00:00Z', '7 days ago'],
  ])('%s was %s', (moment, words) => {
    expect(sinceWords(moment, now)).toBe(words)
  })
})

it('what sits on a stage sits on a filter, and only what measures draws a curve', () => {
  for (const { value } of KINDS) {
    if (onStage(value)) expect(onFilter(value)).toBe(true)
  }
  expect(KINDS.filter(({ value }) => measures(value)).map(({ value }) => value)).toEqual([
    'FLOW',
    'PLUG',
    'TEMPERATURE',
    'LAMP',
  ])
})
