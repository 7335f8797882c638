import { describe, expect, it } from 'vitest'
import { placeOf } from './places'

describe('the place a page belongs to', () => {
  it.each([
    ['/', 'rounds'],
    ['/tanks/4', 'tanks'],
    ['/tanks/4/log', 'log'],
    ['/log', 'log'],
    ['/tanks/4/water/change', 'water'],
    ['/water', 'water'],
    ['/plan/time', 'plan'],
    ['/bench/trials', 'bench'],
    ['/people', undefined],
  ])('%s is in %s', (path, place) => {
    expect(placeOf(path)).toBe(place)
  })
})
