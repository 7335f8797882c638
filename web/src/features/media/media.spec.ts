import { describe, expect, it } from 'vitest'
import { curvePath, stretches } from './line'
import { grouped, stayWords, whereWords, worthWords, type Piece, type Stay } from './words'

const stay = (spot: Stay['spot'], from: string, until?: string, tankId?: number): Stay => ({
  spot,
  where: tankId ? `Weir on tank ${tankId}` : 'Wet on the shelf',
  tankId,
  filterId: tankId,
  forTank: spot === 'SEEDING' ? 'Newt nursery' : undefined,
  forTankId: spot === 'SEEDING' ? 6 : undefined,
  from,
  until,
})

const piece = (stays: Stay[], more: Partial<Piece> = {}): Piece => ({
  id: '1',
  name: 'Bag A',
  kind: 'POROUS',
  kindName: 'porous ceramic',
  grams: 250,
  since: stays[0]?.from ?? '2026-05-01',
  state: 'RIPE',
  share: 0.95,
  stays,
  lastMove: { id: '2', on: '2026-05-01', doneBy: 'Marit' },
  parts: [],
  ...more,
})

describe('where a piece is', () => {
  it('names the filter, the tank, since when, and for whom it is seeded', () => {
    expect(whereWords(piece([stay('SEEDING', '2026-05-01', undefined, 2)]))).toMatch(
      /^Weir on tank 2, seeding for Newt nursery since /,
    )
    expect(whereWords(piece([stay('WET_SHELF', '2026-05-01')]))).toMatch(/^Wet on the shelf since /)
  })

  it('tells each stay with its days, one as one', () => {
    expect(stayWords(stay('IN_FILTER', '2026-05-01', '2026-05-02', 2))).toMatch(/, 1 day$/)
    expect(stayWords(stay('IN_FILTER', '2026-05-01', undefined, 2), '2026-05-31')).toMatch(
      /until today, 30 days$/,
    )
  })

  it('stands under what waits for it: seeding first, thrown away last, nothing empty', () => {
    const groups = grouped([
      piece([stay('GONE', '2026-05-01')], { id: 'gone' }),
      piece([stay('IN_FILTER', '2026-05-01', undefined, 2)], { id: 'in' }),
      piece([stay('SEEDING', '2026-05-01', undefined, 2)], { id: 'seed' }),
    ])
    expect(groups.map((group) => [group.title, group.pieces.map((one) => one.id)])).toEqual([
      ['Seeding', ['seed']],
      ['In filters', ['in']],
      ['Thrown away', ['gone']],
    ])
  })
})

describe('what a piece is worth', () => {
  it.each([
    [{ state: 'RIPE' }, 'Ripe'],
    [{ state: 'FADING', share: 0.42 }, 'Fading, 42 % left'],
    [{ state: 'DEAD' }, 'Dead, counts as new'],
    [{ state: 'NEW' }, 'New'],
    [{ state: 'GONE' }, 'Thrown away'],
    [{ state: 'SETTLING', share: 0.5 }, 'Settling, 50 %'],
  ] as [Partial<Piece>, string][])('%j is told as %s', (more, words) => {
    expect(worthWords(piece([], more))).toBe(words)
  })

  it('says when it will be ripe', () => {
    expect(worthWords(piece([], { state: 'SETTLING', ripeOn: '2026-06-05' }))).toMatch(
      /^Settling, ripe about /,
    )
  })
})

describe('its line', () => {
  const moved = piece([
    stay('IN_FILTER', '2026-05-01', '2026-05-21', 2),
    stay('WET_SHELF', '2026-05-21', '2026-05-26'),
    stay('IN_FILTER', '2026-05-26', undefined, 6),
  ])

  it('lies end to end over the whole of its days, each tank in a colour of its own', () => {
    const parts = stretches(moved, '2026-06-10')

    expect(parts.map((part) => part.from)).toEqual([0, 0.5, 0.625])
    expect(parts.map((part) => part.width)).toEqual([0.5, 0.125, 0.375])
    expect(parts.map((part) => part.colour)).toEqual([0, -1, 1])
  })

  it('has one point on the day its record begins, and none before', () => {
    expect(stretches(piece([stay('DRY_SHELF', '2026-05-01')]), '2026-05-01')).toMatchObject([
      { from: 0, width: 0 },
    ])
    expect(stretches(piece([]), '2026-05-01')).toEqual([])
  })

  it('draws full at the top and nothing at the bottom', () => {
    expect(
      curvePath(
        [
          { on: '2026-05-01', share: 0 },
          { on: '2026-05-11', share: 0.5 },
          { on: '2026-05-21', share: 1 },
        ],
        100,
        40,
      ),
    ).toBe('M 0.0 40.0 L 50.0 20.0 L 100.0 0.0')
    expect(curvePath([], 100, 40)).toBe('')
  })
})
