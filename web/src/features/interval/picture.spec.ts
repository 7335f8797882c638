import { describe, expect, it } from 'vitest'
import { padAt, shuffled } from './picture'

describe('a drawn pad', () => {
  it('is fuller the more it is loaded, and water passes round it only beyond full', () => {
    const loadings = [0.05, 0.09, 0.14, 0.2, 0.28, 0.38, 0.46, 0.56, 0.68, 0.82, 0.95, 1.2]
    const pads = loadings.map(padAt)

    for (let i = 1; i < pads.length; i++) {
      expect(pads[i]?.haze).toBeGreaterThan(pads[i - 1]?.haze ?? 1)
      expect(pads[i]?.shut).toBeGreaterThanOrEqual(pads[i - 1]?.shut ?? 36)
    }
    expect(pads.map((pad) => pad.around)).toEqual([...Array<boolean>(11).fill(false), true])
  })

  it('comes in an order that shows each picture once', () => {
    expect(shuffled(12, 7).toSorted((a, b) => a - b)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11])
    expect(shuffled(12, 7)).not.toEqual(shuffled(12, 8))
  })
})
