import { texts } from './texts'
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
  { measure: 'SERVICES', label: texts.services, unit: '', hint: texts.tasksDone, digits: 0 },
  { measure: 'HOURS', label: texts.hours, unit: 'h', hint: texts.ofWork, digits: 1 },
  { measure: 'MONEY', label: texts.money, unit: '', hint: texts.forPartsThrownAway, digits: 0 },
  {
    measure: 'OVERLOADS',
    label: texts.overloaded,
    unit: '×',
    hint: texts.aStageWasClogged,
    digits: 0,
  },
  {
    measure: 'WORST_NITRATE',
    label: texts.worstNitrate,
    unit: 'mg/L',
    hint: texts.highestOfTheYear,
    digits: 0,
  },
  {
    measure: 'WORST_AMMONIA',
    label: texts.worstAmmonia,
    unit: 'mg/L',
    hint: texts.highestOfTheYearTotal,
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
  return texts
    .in8Of10(figure(spread.middle), unit, figure(spread.low), figure(spread.high))
    .replace(' ,', ',')
}
