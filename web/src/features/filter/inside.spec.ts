import { describe, expect, it } from 'vitest'
import { stage } from '@/testing/filters'
import { chambersAfter, fromFilter, likeFilter, stageOf, toInput, type Passport } from './form'
import { fromPassport, moved, putInto, removePlace, toPassport, unplaced } from './inside'
import type { Filter } from './queries'

const piece = (stage: number) => ({ stage, packing: 'PIECE' as const })
const PASSPORT: Passport = {
  shutOff: 'VALVES',
  purge: 'DAILY',
  purgesADay: 2,
  latches: 4,
  hoseM: 1.5,
  hoseInnerMm: 16,
  chambers: [
    {
      name: '',
      access: 'SEALED',
      places: [
        { name: 'the top tray', kind: 'TRAY', emptiedInPlace: true, holeMm: 4, contents: [piece(1)] },
        { name: 'the cage', kind: 'CAGE', emptiedInPlace: false, under: [], contents: [] },
        { name: 'the bottom tray', kind: 'TRAY', emptiedInPlace: false, under: [0], contents: [piece(0)] },
      ],
    },
  ],
  ownSteps: [{ moment: 'OPEN', before: true, words: 'Hold the shelf.' }],
}
const FILTER = {
  name: 'Weir',
  kind: 'CANISTER',
  direction: 'BOTTOM_UP',
  rating: {},
  cleaned: { on: '2026-03-01', sureness: 'EXACT' },
  stages: [
    stage(1, 'COARSE_FOAM', 'coarse foam'),
    stage(2, 'BIO_MEDIA', 'bio media'),
    stage(3, 'IMPELLER', 'impeller'),
  ],
  passport: PASSPORT,
  placesStated: true,
} as unknown as Filter

describe('what sits where, while it is described', () => {
  it('comes back as it was read', () => {
    const { passport, errors } = toPassport(fromPassport(FILTER))

    expect(errors).toEqual({})
    expect(passport.chambers).toEqual(PASSPORT.chambers)
    expect(passport).toMatchObject({
      shutOff: 'VALVES',
      purgesADay: 2,
      hoseM: 1.5,
      ownSteps: PASSPORT.ownSteps,
    })
  })

  it('names what is no number at its field', () => {
    const form = fromPassport(FILTER)
    form.latches = 'some'
    const hole = form.chambers[0]?.places[0]
    if (hole) hole.holeMm = 'small'

    expect(Object.keys(toPassport(form).errors)).toEqual([
      'passport.latches',
      'passport.chambers[0].places[0].holeMm',
    ])
  })

  it('moves a stage from one place to another, and knows which have none', () => {
    const form = fromPassport(FILTER)
    const [top, cage] = form.chambers[0]?.places ?? []
    if (!top || !cage) throw new Error('no places')

    putInto(form, 1, cage)

    expect(top.contents).toEqual([])
    expect(cage.contents.map((one) => one.stage)).toEqual([1])
    expect(unplaced(form, FILTER.stages)).toEqual([])
    cage.contents = []
    expect(unplaced(form, FILTER.stages)).toEqual([1])
  })

  it('forgets a removed place where something lay under it', () => {
    const form = fromPassport(FILTER)
    const chamber = form.chambers[0]
    if (!chamber) throw new Error('no chamber')

    removePlace(chamber, chamber.places[0]?.key ?? 0)

    expect(chamber.places.map((place) => place.under)).toEqual(['NOTHING', 'NOTHING'])
  })

  it('keeps the order at both ends', () => {
    expect(moved(['a', 'b', 'c'], 0, 1)).toEqual(['b', 'a', 'c'])
    expect(moved(['a', 'b', 'c'], 0, -1)).toEqual(['a', 'b', 'c'])
    expect(moved(['a', 'b', 'c'], 2, 1)).toEqual(['a', 'b', 'c'])
  })
})

describe('what sits where, once the water path changed', () => {
  it('follows each stage to its new number', () => {
    const form = fromFilter(FILTER)
    form.stages.reverse()

    const places = chambersAfter(form)?.[0]?.places ?? []

    expect(places.map((place) => place.contents.map((one) => one.stage))).toEqual([[1], [], [2]])
  })

  it('lets go of what was removed, and gives what is new a tray of its own', () => {
    const form = fromFilter(FILTER)
    form.stages = [...form.stages.slice(1), stageOf('CARBON', 'DISPOSABLE')]

    const places = chambersAfter(form)?.[0]?.places ?? []

    expect(places.map((place) => place.name)).toEqual([
      'the top tray',
      'the cage',
      'the bottom tray',
      'the tray of the carbon',
    ])
    expect(places.map((place) => place.contents.map((one) => one.stage))).toEqual([[0], [], [], [2]])
  })

  it('is said by nobody as long as nobody said it', () => {
    expect(chambersAfter(fromFilter({ ...FILTER, placesStated: false }))).toBeUndefined()
  })
})

describe('a filter like one that is there', () => {
  it('has its path and its inside, and no name, age or stage of the other', () => {
    const { input } = toInput(likeFilter({ ...FILTER, fittedOn: '2020-01-01' }))

    expect(input.name).toBe('')
    expect(input.fittedOn).toBeUndefined()
    expect(input.careSureness).toBe('EXACT')
    expect(input.stages.map(({ id, kind }) => [id, kind])).toEqual([
      [undefined, 'COARSE_FOAM'],
      [undefined, 'BIO_MEDIA'],
      [undefined, 'IMPELLER'],
    ])
    expect(input.passport?.chambers).toEqual(PASSPORT.chambers)
  })
})
