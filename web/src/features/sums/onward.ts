import type { Values } from './catalogue'
import type { Given } from './queries'

const texts = (query: Record<string, unknown>) =>
  Object.fromEntries(
    Object.entries(query).flatMap(([name, value]) => (value === undefined ? [] : [[name, String(value)]])),
  )

/** Where an answer goes on as a water change, with what it knows of it; undefined if it is about something else. */
export function changeAt(sum: string, tank: number, given: Given, values: Values) {
  const known: Record<string, Record<string, unknown>> = {
    change: { litres: values.totalL },
    lower: { litres: values.litresEach },
    mix: { litres: given.litres, temperature: given.targetC },
    conditioner: { litres: given.newL, conditioner: values.doseMl, dosedFor: given.basis },
  }
  const query = known[sum]
  return tank && query ? { name: 'water-change', params: { tank }, query: texts(query) } : undefined
}

/** Where a single piece is printed at true size, as it is cut; undefined if there is none. */
export function templateAt(sum: string, given: Given, values: Values) {
  if (sum !== 'cut' && sum !== 'tiles') return undefined
  const [aMm, bMm] = sum === 'cut' ? [values.pieceWMm, values.pieceHMm] : [given.aMm, given.bMm]
  return { name: 'template', query: texts({ aMm, bMm, shape: given.shape, holeMm: given.holeMm }) }
}
