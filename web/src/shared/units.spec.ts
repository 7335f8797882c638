import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { dayFormat, shortDay } from './dates'
import {
  fieldText,
  inOurUnits,
  mass,
  proposed,
  say,
  storedText,
  SYSTEMS,
  typedNumber,
  useUnitsOf,
  type SiteUnits,
} from './units'

const COMMA: SiteUnits = { ...SYSTEMS.METRIC, decimalSign: 'COMMA' }

afterEach(() => {
  useUnitsOf(undefined)
})

describe('what is typed', () => {
  it.each([
    ['', undefined],
    ['2.5', 2.5],
    ['2,5', 2.5],
    [' 15 ', 15],
    ['1,510', 1510],
    ['1,234,567.8', 1234567.8],
    ['1.510', 1.51],
    ['1.510,5', 1510.5],
    ['soon', Number.NaN],
    ['2,5,1', Number.NaN],
  ])('%s is %s where a point stands before decimals', (text, value) => {
    expect(typedNumber(text)).toEqual(value)
  })

  it('takes a comma before three digits for decimals where the site writes so', () => {
    useUnitsOf(COMMA)

    expect(typedNumber('1,510')).toBe(1.51)
    expect(typedNumber('1.510,5')).toBe(1510.5)
  })
})

describe('a measure', () => {
  it('of 29 US gallons comes back as 29, never 28.99', () => {
    useUnitsOf(SYSTEMS.US)
    for (let gallons = 1; gallons <= 500; gallons++) {
      const stored = storedText('VOLUME', String(gallons))

      expect(fieldText('VOLUME', String(Number(stored)))).toBe(String(gallons))
    }
    expect(say('VOLUME', 109.776941736)).toBe('29 gal')
  })

  it.each([
    ['VOLUME', '0.3'],
    ['FLOW', '264.5'],
    ['MASS', '16'],
    ['LENGTH', '3.5'],
    ['DOSE', '0.25'],
    ['TEMPERATURE', '77.9'],
    ['HARDNESS', '178'],
    ['SALINITY', '1.026'],
  ] as const)('of %s comes back as it was typed, %s', (quantity, typed) => {
    useUnitsOf(SYSTEMS.US)

    expect(fieldText(quantity, storedText(quantity, typed))).toBe(typed)
  })

  it('that is no number stays as it was typed, for the form to say so', () => {
    expect(storedText('VOLUME', 'ten')).toBe('ten')
    expect(fieldText('VOLUME', 'ten')).toBe('ten')
    expect(fieldText('VOLUME', '')).toBe('')
  })

  it('is stored in the same way however it is written', () => {
    const point = storedText('VOLUME', '2.5')
    useUnitsOf(COMMA)

    expect(storedText('VOLUME', '2,5')).toBe(point)
    expect(fieldText('VOLUME', point)).toBe('2,5')
  })

  it('is said with three digits that count', () => {
    expect([say('VOLUME', 1234.5), say('VOLUME', 12.34), say('FLOW', 640)]).toEqual([
      '1,235 L',
      '12.3 L',
      '640 L/h',
    ])
    useUnitsOf(SYSTEMS.US)
    expect([say('TEMPERATURE', 25), say('SALINITY', 35), say('FLOW', 1000)]).toEqual([
      '77 °F',
      '1.026 SG',
      '264 gal/h',
    ])
  })

  it('of mass is told in kilograms or pounds once there is much', () => {
    expect([mass(240), mass(1500)]).toEqual(['240 g', '1.5 kg'])
    useUnitsOf(SYSTEMS.US)
    expect([mass(240), mass(1500)]).toEqual(['8.47 oz', '3.3 lb'])
  })
})

describe('units that were kept on this device before a site had so many', () => {
  it('are filled up with metric ones', () => {
    useUnitsOf({ temperature: 'FAHRENHEIT', currency: 'USD' })

    expect([say('TEMPERATURE', 25), say('VOLUME', 10)]).toEqual(['77 °F', '10 L'])
  })
})

describe('a sentence of the server', () => {
  const SENTENCES = [
    ['At most 1,000,000 L/h.', 'At most 264,172 gal/h.'],
    ['At most 100,000 litres.', 'At most 26,417 gal.'],
    ['Nitrite reached 2.5 mg/L on 12 Nov.', 'Nitrite reached 2.5 ppm on 12 Nov.'],
    ['Not below 0 °C.', 'Not below 32 °F.'],
    ['240 g of 1,000 g is 24 %', '8.47 oz of 35.3 oz is 24 %'],
    ['It falls through holes of 12.7 mm.', 'It falls through holes of 0.5 in.'],
    ['At most 80 characters, 3 months', 'At most 80 characters, 3 months'],
  ] as const

  it.each(SENTENCES)('"%s" stays so in metric, and is "%s" in US units', (metric, us) => {
    expect(inOurUnits(metric)).toBe(metric)
    useUnitsOf(SYSTEMS.US)
    expect(inOurUnits(metric)).toBe(us)
  })
})

describe('a day', () => {
  beforeEach(() => {
    useUnitsOf(SYSTEMS.US)
  })

  it('is written in the order of the site', () => {
    expect(shortDay('2026-11-13', '2026-11-01')).toBe('Nov 13')
    expect(dayFormat.value).toBe('M/D/YYYY')
    useUnitsOf({ ...SYSTEMS.METRIC, dateOrder: 'YEAR_FIRST' })
    expect(shortDay('2026-11-13', '2026-11-01')).toBe('13 Nov')
    expect(dayFormat.value).toBe('YYYY-M-D')
  })
})

describe('what a browser’s language proposes', () => {
  it.each([
    ['en-US', 'US', 'POINT'],
    ['en-GB', 'UK', 'POINT'],
    ['en-AU', 'METRIC', 'POINT'],
    ['de-DE', 'METRIC', 'COMMA'],
    ['fr', 'METRIC', 'COMMA'],
  ])('%s is %s with a decimal %s', (language, system, sign) => {
    const proposal = proposed(language)

    expect(proposal.system).toBe(system)
    expect(proposal.units.decimalSign).toBe(sign)
  })
})
