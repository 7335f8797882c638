import { describe, expect, it } from 'vitest'
import { SYSTEMS } from '@/shared/units'
import { byParameter, offered, toSet } from './entry'
import type { Method, Parameter } from './queries'
import { stateOf, type SetDraft } from './tests'
import { scaleOf } from './units'

const PARAMETERS: Parameter[] = [
  { code: 'AMMONIA', label: 'Total ammonia', unit: 'mg/L', noise: 0.2 },
  { code: 'PHOSPHATE', label: 'Phosphate', unit: 'mg/L', noise: 0.05 },
  { code: 'PH', label: 'pH', unit: '', noise: 0.1 },
  { code: 'TEMPERATURE', label: 'Temperature', unit: '°C', noise: 0.2 },
  { code: 'KH', label: 'Carbonate hardness', unit: '°dH', noise: 0.5 },
]
const { METRIC } = SYSTEMS

function typed(texts: Record<string, string>): SetDraft {
  const values = Object.entries(texts).map(([code, text]) => [
    code,
    { id: code, text, method: '', early: false },
  ])
  return { moment: 'PLAIN', takenAt: '', values: Object.fromEntries(values) as SetDraft['values'] }
}

describe('a set of readings', () => {
  it('leaves out what was not typed and takes a comma for a point', () => {
    const { set, errors } = toSet(typed({ AMMONIA: '', PH: '7,4' }), PARAMETERS, METRIC)

    expect(errors).toEqual({})
    expect(set.values).toMatchObject([{ parameter: 'PH', amount: 7.4, belowDetection: false }])
  })

  it.each([
    ['<', 0.2],
    ['<0.1', 0.1],
    ['< 0.1', 0.1],
  ])('takes %s for below detection', (text, limit) => {
    const { set } = toSet(typed({ AMMONIA: text }), PARAMETERS, METRIC)

    expect(set.values).toMatchObject([{ amount: limit, belowDetection: true }])
  })

  it('says at its field what is no number', () => {
    expect(toSet(typed({ AMMONIA: 'trace', PH: '7' }), PARAMETERS, METRIC).errors).toEqual({
      AMMONIA: 'This is not a number.',
    })
  })

  it('stores metric what was typed in the units of the site', () => {
    const set = toSet(typed({ TEMPERATURE: '77', KH: '89.24', AMMONIA: '0.5' }), PARAMETERS, SYSTEMS.US).set

    expect(set.values.map((value) => [value.parameter, value.amount])).toEqual([
      ['AMMONIA', 0.5],
      ['TEMPERATURE', 25],
      ['KH', 5.0001172],
    ])
  })

  it('finds the field of a refusal by its place in the set', () => {
    const { set } = toSet(typed({ AMMONIA: '1', PH: '7' }), PARAMETERS, METRIC)

    expect(byParameter({ 'values[1].amount': 'This value cannot be.' }, set)).toEqual({
      PH: 'This value cannot be.',
    })
  })
})

describe('what is offered to read', () => {
  const known = { read: [], due: [], salt: false, every: false }

  it('is the usual on a fresh tank, and phosphate with it in salt water', () => {
    expect(offered(PARAMETERS, known).map((one) => one.code)).toEqual(['AMMONIA', 'PH', 'TEMPERATURE'])
    expect(offered(PARAMETERS, { ...known, salt: true }).map((one) => one.code)).toContain('PHOSPHATE')
  })

  it('begins with what is due', () => {
    expect(offered(PARAMETERS, { ...known, due: ['KH'] })[0]?.code).toBe('KH')
  })
})

describe('a timed test', () => {
  const method: Method = {
    parameter: 'AMMONIA',
    name: 'Drop test',
    limit: 0.2,
    steps: [
      { what: 'SHAKE', seconds: 5 },
      { what: 'WAIT', seconds: 300 },
    ],
  }

  it.each([
    [0, 'SHAKE', 5000],
    [4999, 'SHAKE', 1],
    [5000, 'WAIT', 300_000],
    [304_999, 'WAIT', 1],
    [305_000, undefined, 0],
  ])('after %i ms is at %s', (ms, step, leftMs) => {
    expect(stateOf(method, 1000, 1000 + ms)).toEqual({ step, leftMs })
  })
})

describe('units of a site', () => {
  it('turn back into what is stored', () => {
    const { shown, stored, unit } = scaleOf({ unit: '°C' }, { ...METRIC, temperature: 'FAHRENHEIT' })

    expect(unit).toBe('°F')
    expect(stored(shown(19.5))).toBeCloseTo(19.5, 9)
  })
})
