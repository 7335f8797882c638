import { describe, expect, it } from 'vitest'
import { bandWords, riseWords } from './rises'

describe('what a tank makes in a week', () => {
  it('rises or falls where the band bears it', () => {
    expect(riseWords({ perWeek: 2.331, low: 0.5, high: 4.1 })).toBe('rises 2.33')
    expect(riseWords({ perWeek: -0.4, low: -0.7, high: -0.1 })).toBe('falls 0.4')
  })

  it('only may where the band does not bear a direction', () => {
    expect(riseWords({ perWeek: 2.33, low: -1.62, high: 6.28 })).toBe('may rise 2.33')
    expect(riseWords({ perWeek: -0.1, low: -1, high: 0.8 })).toBe('may fall 0.1')
  })

  it('counts the ends of a fall downwards, and writes a minus as one', () => {
    expect(bandWords({ perWeek: -0.4, low: -0.7, high: -0.1 })).toBe('between 0.1 and 0.7')
    expect(bandWords({ perWeek: 2.33, low: -1.62, high: 6.28 })).toBe('between −1.62 and 6.28')
  })
})
