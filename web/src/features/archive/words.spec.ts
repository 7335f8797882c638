import { describe, expect, it } from 'vitest'
import type { Bringing } from './queries'
import { allNew, holds, told } from './words'

const bringing = (counts: Bringing['counts']): Bringing => ({
  site: 'Fen',
  made: '2026-06-01T12:00:00Z',
  own: false,
  tanks: [],
  counts,
  faultCount: 0,
  faults: [],
})

const tank = (services: number, readings: number, photos: number): Bringing['tanks'][number] => ({
  id: 1,
  name: 'Brook',
  deleted: false,
  standing: 'NEW',
  chosen: true,
  services,
  readings,
  photos,
})

describe('what an archive brings', () => {
  it('is told by what people count, in the same order whatever comes first', () => {
    const counts: Bringing['counts'] = [
      { what: 'SERVICE', brought: 8, there: 1 },
      { what: 'TANK', brought: 1, there: 0 },
      { what: 'SERVICE_TASK', brought: 9, there: 0 },
    ]

    expect(told(bringing(counts)).map((one) => one.words)).toEqual(['tank', 'services'])
  })

  it('counts details as new as well, so that nothing is offered as empty', () => {
    expect(allNew(bringing([{ what: 'TAP_VALUE', brought: 2, there: 0 }]))).toBe(2)
  })

  it('is one service, two photos, and no word of what there is none of', () => {
    expect(holds(tank(1, 0, 2))).toBe('1 service, 2 photos')
    expect(holds(tank(0, 0, 0))).toBe('no log')
  })
})
