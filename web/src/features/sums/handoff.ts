import type { LocationQuery } from 'vue-router'
import type { Field, Given } from './queries'

/** What another page hands to a sum in its address: "?given.litres=40&tank=3". */
export function handed(query: LocationQuery, fields: Field[]): Given {
  const given: Given = {}
  for (const field of fields) {
    const text = query[`given.${field.name}`]
    if (typeof text !== 'string' || text === '') continue
    if (field.type === 'NUMBER' && Number.isFinite(Number(text))) given[field.name] = Number(text)
    if (field.type === 'WORD' && field.words.includes(text)) given[field.name] = text
  }
  return given
}

/** The address of a sum with values handed to it. */
export function sumAt(name: string, tank: number | undefined, given: Given = {}) {
  const query: Record<string, string> = tank ? { tank: String(tank) } : {}
  for (const [field, value] of Object.entries(given)) {
    if (value !== undefined) query[`given.${field}`] = String(value)
  }
  return { name: 'sum', params: { sum: name }, query }
}
