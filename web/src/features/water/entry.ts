import { texts } from './texts'
import { typedNumber } from '@/shared/units'
import type { Parameter, ReadingSet } from './queries'
import type { SetDraft } from './tests'
import { scaleOf } from './units'

/** Read on every tank; others appear once they were read, are due, or are asked for. */
const USUAL = ['AMMONIA', 'NITRITE', 'NITRATE', 'PH', 'TEMPERATURE']
const SALT = ['PHOSPHATE', 'KH', 'SALINITY']

/** Parameters of an entry in their order: due ones first. */
export function offered(
  all: Parameter[],
  known: { read: string[]; due: string[]; salt: boolean; every: boolean },
): Parameter[] {
  const wanted = new Set([...USUAL, ...(known.salt ? SALT : []), ...known.read, ...known.due])
  return all
    .filter((one) => known.every || wanted.has(one.code))
    .toSorted((a, b) => Number(known.due.includes(b.code)) - Number(known.due.includes(a.code)))
}

/** What was typed as the request wants it, the parameter of each value, and what is no number at its field. */
export function toSet(draft: SetDraft, parameters: Parameter[], units: Parameters<typeof scaleOf>[1]) {
  const errors: Record<string, string> = {}
  const values: ReadingSet['values'] = []
  for (const parameter of parameters) {
    const typed = draft.values[parameter.code]
    if (!typed || typed.text.trim() === '') continue
    const below = typed.text.trim().startsWith('<')
    const number = typedNumber(below ? typed.text.trim().slice(1) : typed.text)
    if (number === undefined && below && parameter.noise > 0) {
      values.push(valueOf(typed, parameter.code, parameter.noise, true))
    } else if (number === undefined || Number.isNaN(number)) {
      errors[parameter.code] = below ? texts.belowWhichValue : texts.thisIsNotA
    } else {
      const stored = scaleOf(parameter, units).stored(number)
      values.push(valueOf(typed, parameter.code, Number(stored.toPrecision(8)), below))
    }
  }
  const takenAt = draft.takenAt ? new Date(draft.takenAt).toISOString() : new Date().toISOString()
  return { set: { takenAt, moment: draft.moment, values } satisfies ReadingSet, errors }
}

function valueOf(
  typed: { id: string; method: string; early: boolean },
  parameter: string,
  amount: number,
  belowDetection: boolean,
): ReadingSet['values'][number] {
  return { id: typed.id, parameter, amount, belowDetection, early: typed.early, method: typed.method }
}

/** Errors of the answer, "values[2].amount", at the parameter they are about. */
export function byParameter(errors: Record<string, string>, set: ReadingSet | undefined) {
  return Object.fromEntries(
    Object.entries(errors).map(([field, message]) => {
      const place = /^values\[(\d+)\]/.exec(field)?.[1]
      return [place === undefined ? field : (set?.values[Number(place)]?.parameter ?? field), message]
    }),
  )
}
