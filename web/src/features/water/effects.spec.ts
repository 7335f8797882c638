import { describe, expect, it } from 'vitest'
import { effectsOf } from './effects'
import type { Reading, Tap } from './queries'

const read = (parameter: string, amount: number) => ({ parameter, amount }) as Reading
const LAST = [read('TEMPERATURE', 25), read('NITRATE', 40)]
const TAP = [{ parameter: 'NITRATE', amount: 10, ofTank: false }] as Tap[]

describe('what a water change does', () => {
  it('is a mix of what stays and what comes in', () => {
    const effects = effectsOf(200, 50, 17, { last: LAST, tap: TAP })

    // A quarter of 17 °C in 25 °C; a quarter of 10 mg/L in 40 mg/L.
    expect(effects).toEqual({
      share: 0.25,
      temperature: { before: 25, after: 23 },
      nitrate: { before: 40, after: 32.5, tapKnown: true },
    })
  })

  it('takes tap water for free of nitrate while nobody knows, and says so', () => {
    expect(effectsOf(200, 100, undefined, { last: LAST, tap: [] })).toEqual({
      share: 0.5,
      temperature: undefined,
      nitrate: { before: 40, after: 20, tapKnown: false },
    })
  })

  it('never changes more than all of it, and lies between the two waters', () => {
    for (let litres = 1; litres <= 500; litres += 7) {
      const after = effectsOf(200, litres, 10, { last: LAST, tap: TAP })

      expect(after?.share).toBeLessThanOrEqual(1)
      expect(after?.temperature?.after).toBeGreaterThanOrEqual(10)
      expect(after?.temperature?.after).toBeLessThanOrEqual(25)
    }
  })

  it.each([
    [0, 50],
    [200, 0],
    [200, Number.NaN],
    [Number.NaN, 50],
  ])('is nothing for a tank of %s L and %s L changed', (volume, litres) => {
    expect(effectsOf(volume, litres, 20, { last: LAST, tap: TAP })).toBeUndefined()
  })
})
