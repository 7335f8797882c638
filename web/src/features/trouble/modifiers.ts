import type { Known, Modifier } from './network'

type Form = (value: number, numbers: number[]) => number

const at = (numbers: number[], place: number): number => numbers[place] ?? 0
const between = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value))

/** Each form as the server has it; what its numbers are stands in ModifierView. */
const FORMS: Record<string, Form> = {
  HAZARD: (value, n) => between((value / at(n, 0)) ** at(n, 1), at(n, 2), at(n, 3)),
  LEVEL: (value, n) => at(n, 2) + (at(n, 3) - at(n, 2)) / (1 + Math.exp(-(value - at(n, 0)) / at(n, 1))),
  RECENT: (value, n) => 1 + (at(n, 0) - 1) * 2 ** (-value / at(n, 1)),
  FLAG: (value, n) => (value > 0 ? at(n, 0) : at(n, 1)),
  STEP: (value, n) => (value >= at(n, 0) ? at(n, 1) : at(n, 2)),
  GRADE: (value, n) => at(n, value),
}

/** What a modifier goes by; nothing where it is not known. */
export function foundBy(modifier: Modifier, known: Known): number | undefined {
  return modifier.form === 'RECENT' ? known.touched[modifier.by] : known.features[modifier.by]
}

/** Factor on a cause's rate; 1 where nothing is known. */
export function factorOf(modifier: Modifier, known: Known): number {
  const value = foundBy(modifier, known)
  return value === undefined ? 1 : (FORMS[modifier.form]?.(value, modifier.numbers) ?? 1)
}
