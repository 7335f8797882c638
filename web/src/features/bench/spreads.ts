import type { Comparison, Spread } from './queries'

export type Measure = Spread['measure']

interface Described {
  measure: Measure
  label: string
  unit: string
  hint: string
  digits: number
}

/** What a year brings, in the order it is read. */
export const MEASURES: Described[] = [
  { measure: 'SERVICES', label: 'Services', unit: '', hint: 'tasks done', digits: 0 },
  { measure: 'HOURS', label: 'Hours', unit: 'h', hint: 'of work', digits: 1 },
  { measure: 'MONEY', label: 'Money', unit: '', hint: 'for parts thrown away', digits: 0 },
  {
    measure: 'OVERLOADS',
    label: 'Overloaded',
    unit: '×',
    hint: 'a stage was clogged when served',
    digits: 0,
  },
  { measure: 'WORST_NITRATE', label: 'Worst nitrate', unit: 'mg/L', hint: 'highest of the year', digits: 0 },
  {
    measure: 'WORST_AMMONIA',
    label: 'Worst ammonia',
    unit: 'mg/L',
    hint: 'highest of the year, total',
    digits: 2,
  },
]

/** Each measure with its spread for every way, on one scale. */
export function rows(comparison: Comparison) {
  return MEASURES.map((described) => {
    const spreads = comparison.ways.flatMap(({ way, words, measures }) => {
      const spread = measures.find((one) => one.measure === described.measure)
      return spread ? [{ way, words, spread }] : []
    })
    const top = Math.max(...spreads.map(({ spread }) => spread.values.at(-1) ?? 0), 1e-6) * 1.04
    return { ...described, spreads, top }
  })
}

/** "12, in 8 of 10 futures 9 to 16". */
export function spreadWords(spread: Spread, digits: number, unit: string): string {
  const figure = (value: number) => value.toFixed(digits)
  return `${figure(spread.middle)} ${unit}, in 8 of 10 futures ${figure(spread.low)} to ${figure(spread.high)}`.replace(
    ' ,',
    ',',
  )
}
