import { describe, expect, it } from 'vitest'
import type { Key, KeyView } from './queries'
import { keepingAnswers, textOf, unclearFirst } from './reading'

const key = (change: Partial<Key> = {}): Key => ({
  columns: [{ role: 'DAY' }, { role: 'WORK' }],
  order: 'MONTH_FIRST',
  dayFromAbove: true,
  flowUnit: 'LITRES_AN_HOUR',
  work: [
    { phrase: 'fed less', use: 'NOTED', tasks: [] },
    { phrase: 'prefilter', use: 'DONE', tasks: [7] },
  ],
  grades: [{ word: 'gunky', found: 'HEAVY' }],
  ...change,
})

describe('the text of a file', () => {
  it('is read as Unicode', async () => {
    expect(await textOf(new Blob(['Käfer;“sock”']))).toBe('Käfer;“sock”')
  })

  it('is read in the older signs of spreadsheets where it is no Unicode', async () => {
    expect(await textOf(new Blob([new Uint8Array([0x4b, 0xe4, 0x66, 0x65, 0x72])]))).toBe('Käfer')
  })
})

describe('a key guessed anew', () => {
  it('keeps what was answered and takes everything else from the guess', () => {
    const answered = key({
      dayFromAbove: false,
      stoodSince: '2023-11-05',
      work: [
        { phrase: 'fed less', use: 'LEFT_OUT', tasks: [] },
        { phrase: 'prefilter', use: 'DONE', tasks: [8] },
      ],
      grades: [{ word: 'gunky', found: 'CLOGGED' }],
    })

    const kept = keepingAnswers(key(), answered, new Set(['fed less', 'gunky']))

    expect(kept.work.map((one) => [one.use, one.tasks])).toEqual([
      ['LEFT_OUT', []],
      ['DONE', [7]],
    ])
    expect(kept.grades[0]?.found).toBe('CLOGGED')
    expect(kept.dayFromAbove).toBe(false)
    expect(kept.stoodSince).toBe('2023-11-05')
  })

  it('is the guess where nothing was answered before', () => {
    expect(keepingAnswers(key(), undefined, new Set())).toEqual(key())
  })
})

it('phrases that are no work stand first, each group by how often it is written', () => {
  const work = ['a', 'b', 'c', 'd'].map((phrase, i) => ({
    phrase,
    use: i % 2 ? ('DONE' as const) : ('NOTED' as const),
    tasks: [],
  }))
  const view = { phrases: work.map(({ phrase }, i) => ({ words: phrase, times: i })) } as unknown as KeyView

  expect(unclearFirst(view, key({ work })).map((row) => row.phrase.phrase)).toEqual(['c', 'a', 'd', 'b'])
})
