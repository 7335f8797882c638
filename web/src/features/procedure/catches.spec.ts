import { describe, expect, it } from 'vitest'
import { medianFlow } from './catches'

describe('catches', () => {
  it.each([
    [[], undefined],
    [[10], 720],
    [[10, 8], 810],
    [[10, 8, 20], 720],
  ])('of two litres in %j seconds tell %s litres an hour', (seconds, flow) => {
    expect(medianFlow(seconds.map((one) => ({ litres: 2, seconds: one })))).toBe(flow)
  })
})
