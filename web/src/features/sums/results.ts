import { texts } from './texts'
import type { Values } from './catalogue'
import { tell } from './measures'
import type { Field, Given, Measure, Sum } from './queries'
import { answerWord, choiceFor, labelFor, resultFor } from './words'

/** One line of an answer. */
export interface Line {
  label: string
  text: string
}

/** An answer line by line, in the order of the sum; what a picture shows, or the sentence says alone, is left out. */
export function linesOf(sum: Sum, values: Values): Line[] {
  return sum.results.flatMap(({ name, measure }) => {
    const label = resultFor(sum.name, name)
    const value: unknown = values[name]
    return label === undefined || value === undefined ? [] : [{ label, text: textOf(value, measure, name) }]
  })
}

function textOf(value: unknown, measure: Measure | undefined, name: string): string {
  if (Array.isArray(value)) return listed(value, measure, name)
  if (typeof value === 'string') return answerWord(value)
  return told(Number(value), measure ?? 'NUMBER', name)
}

/** Two ways stand side by side, now first; parts of one way in a row. */
function listed(values: unknown[], measure: Measure | undefined, name: string): string {
  if (name === 'packs' && !Array.isArray(values[0])) return values.join(', ') || 'none'
  return values.map((one) => textOf(one, measure, name)).join(' → ')
}

function told(value: number, measure: Measure, name: string): string {
  if (name === 'breakEvenFilters') return texts.filterOn(value, value === 1 ? '' : 's')
  if (name === 'paybackMonths') return value === 0 ? texts.atOnce : texts.months(tell('NUMBER', value))
  if (name === 'weeks') return texts.weeks(tell('NUMBER', value))
  if (name === 'turnover') return texts.times(tell('NUMBER', value))
  return tell(measure, value, name)
}

/** What was given, line by line; a row of a list on a line of its own. */
export function givenLines(sum: Sum, fields: Field[], given: Given): Line[] {
  return fields.flatMap((field) => {
    const value = given[field.name]
    const label = labelFor(sum.name, field.name)
    if (value === undefined) return []
    if (!Array.isArray(value)) return [{ label, text: givenText(field, value) }]
    return value.map((row: unknown, index) => ({
      label: `${label} ${String(index + 1)}`,
      text: field.type === 'NUMBERS' ? givenText(field, row) : rowText(sum, field, row as Given),
    }))
  })
}

const rowText = (sum: Sum, field: Field, row: Given): string =>
  givenLines(sum, field.row, row)
    .map((line) => `${line.label.toLowerCase()} ${line.text}`)
    .join(', ') || 'nothing'

function givenText(field: Field, value: unknown): string {
  if (typeof value === 'number') return tell(field.measure, value, field.name)
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  return choiceFor(String(value))
}

/** An answer as text to be pasted elsewhere. */
export function asText(
  question: string,
  says: string,
  given: Line[],
  lines: Line[],
  unsure?: string,
): string {
  const list = (of: Line[]) => of.map((line) => `${line.label}: ${line.text}`)
  return [
    question,
    says,
    '',
    ...list(lines),
    '',
    'Given:',
    ...list(given),
    ...(unsure ? ['', unsure] : []),
  ].join('\n')
}
