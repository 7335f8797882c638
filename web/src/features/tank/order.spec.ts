import { describe, expect, it } from 'vitest'
import type { Forecast } from '@/features/interval'
import { grouped, mostPressing } from './order'
import type { Tank } from './queries'

const tank = (id: number, name: string, room: string) => ({ id, tank: { name, room } }) as Tank
const forecast = (latest: string, held = false) =>
  ({ window: { latest }, hold: held ? { reason: 'A new tank' } : undefined }) as Forecast

const TANKS = [
  tank(1, 'Weir', 'Hall'),
  tank(2, 'Brook', 'Attic'),
  tank(3, 'Pond', 'Hall'),
  tank(4, 'Nook', ''),
]
const FORECASTS: Record<number, Forecast[]> = {
  1: [forecast('2026-12-20'), forecast('2026-12-01')],
  2: [forecast('2026-11-01', true), forecast('2026-12-10')],
  3: [forecast('2026-11-01', true)],
}
const names = (order: Parameters<typeof grouped>[1]) =>
  grouped(TANKS, order, (id) => FORECASTS[id] ?? []).map((group) => [
    group.title,
    ...group.tanks.map((one) => one.tank.name),
  ])

describe('what asks first', () => {
  it('is the window that ends soonest, but nothing on hold while something else can be done', () => {
    expect(mostPressing(FORECASTS[1] ?? [])?.window.latest).toBe('2026-12-01')
    expect(mostPressing(FORECASTS[2] ?? [])?.window.latest).toBe('2026-12-10')
    expect(mostPressing(FORECASTS[3] ?? [])?.hold).toBeDefined()
    expect(mostPressing([])).toBeUndefined()
  })
})

describe('tanks', () => {
  it('stand by room and then by name, those without a room under a heading of their own', () => {
    expect(names('ROOM')).toEqual([
      ['No room', 'Nook'],
      ['Attic', 'Brook'],
      ['Hall', 'Pond', 'Weir'],
    ])
  })

  it('stand by need, what is on hold or not planned last', () => {
    expect(names('NEED')).toEqual([['', 'Weir', 'Brook', 'Nook', 'Pond']])
  })

  it('stand by name', () => {
    expect(names('NAME')).toEqual([['', 'Brook', 'Nook', 'Pond', 'Weir']])
  })
})
