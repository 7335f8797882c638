import { texts } from './texts'
import { numberWords } from '@/shared/units'
import { fieldOf, scaleOf, storedOf } from './measures'
import type { Field, Given } from './queries'

/** A field as it stands on the page: numbers as they are typed, words, yes or no, rows. */
export type Typed = string | boolean | undefined | TypedRow[]
export interface TypedRow {
  [field: string]: Typed
}

const scaleFor = (field: Field) => scaleOf(field.measure, field.name)

/** A stored value as it stands on the page. */
export function toTyped(field: Field, stored: unknown): Typed {
  switch (field.type) {
    case 'NUMBER':
      return fieldOf(scaleFor(field), stored)
    case 'NUMBERS':
      return (Array.isArray(stored) ? stored : []).map((one) => rowOf(field.row, { [field.name]: one }))
    case 'ROWS':
      return (Array.isArray(stored) ? stored : []).map((row) => rowOf(field.row, row as Given))
    default:
      return stored as string | boolean | undefined
  }
}

/** A row with what is stored of it; what is not stands empty, words and flags as they are taken otherwise. */
export function rowOf(fields: Field[], stored: Given = {}): TypedRow {
  return Object.fromEntries(
    fields.map((field) => {
      const otherwise = field.type === 'NUMBER' ? undefined : field.otherwise
      return [field.name, toTyped(field, stored[field.name] ?? otherwise)]
    }),
  )
}

/** What is on the page as a sum takes it, and what is still missing or wrong. */
export interface Read {
  given: Given
  /** Paths of fields that are needed and empty. */
  missing: string[]
  /** What is wrong, by path. */
  wrong: Record<string, string>
}

export function read(fields: Field[], typed: TypedRow, path = ''): Read {
  const all: Read = { given: {}, missing: [], wrong: {} }
  for (const field of fields) {
    const at = path + field.name
    const value = readOne(field, typed[field.name], at, all)
    if (value !== undefined) all.given[field.name] = value
    else if (field.needed && !(at in all.wrong)) all.missing.push(at)
  }
  return all
}

function readOne(field: Field, typed: Typed, at: string, all: Read): unknown {
  if (field.type === 'NUMBER') return readNumber(field, typed, at, all)
  if (field.type === 'NUMBERS' || field.type === 'ROWS') return readRows(field, typed, at, all)
  return typed === '' ? undefined : typed
}

function readNumber(field: Field, typed: Typed, at: string, all: Read): number | undefined {
  const stored = storedOf(scaleFor(field), typeof typed === 'string' ? typed : '')
  if (stored === undefined) return undefined
  const fits = stored >= field.least && stored <= field.most
  const whole = field.measure !== 'COUNT' || Number.isInteger(stored)
  if (fits && whole) return stored
  all.wrong[at] = Number.isNaN(stored) ? texts.thisIsNotA : rangeWords(field)
  return undefined
}

function readRows(field: Field, typed: Typed, at: string, all: Read): unknown[] | undefined {
  const rows = Array.isArray(typed) ? typed : []
  const values: unknown[] = []
  rows.forEach((row, index) => {
    const one = read(field.row, row, `${at}[${String(index)}].`)
    all.missing.push(...one.missing)
    Object.assign(all.wrong, one.wrong)
    values.push(field.type === 'NUMBERS' ? one.given[field.row[0]?.name ?? ''] : one.given)
  })
  return values.length === 0 ? undefined : values
}

/** Between which values a field takes a number, as this site reads it. */
export function rangeWords(field: Field): string {
  const { symbol, size, zero } = scaleFor(field)
  const shown = (stored: number) => numberWords((stored - zero) / size, 3)
  const whole = field.measure === 'COUNT' ? texts.aWholeNumberBetween : 'Between'
  return texts.and(whole, shown(field.least), shown(field.most), symbol ? ` ${symbol}` : '')
}
