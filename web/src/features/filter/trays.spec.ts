import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/shared/api/client'
import type { Chamber } from './inside'
import { drawnOf, insideAfter, insideSentence, SHUT, tubsOf, type Part } from './trays'

const PARTS: Part[] = [
  { id: 11, kind: 'COARSE_FOAM', name: 'coarse foam' },
  { id: 12, kind: 'FINE_PAD', name: 'fine pad' },
  { id: 13, kind: 'BIO_MEDIA', name: 'bio media' },
]
const piece = (stage: number) => ({ stage, packing: 'PIECE' as const })
const CHAMBERS: Chamber[] = [
  {
    name: '',
    access: 'SEALED',
    places: [
      { name: 'the top tray', kind: 'TRAY', emptiedInPlace: true, contents: [piece(2)] },
      { name: 'the bottom tray', kind: 'TRAY', emptiedInPlace: false, contents: [piece(1), piece(0)] },
    ],
  },
]

type Step = Schemas['StepView']
const step = (id: string, effects: Step['effects'], more: Partial<Step> = {}): Step => ({
  id,
  text: id,
  reason: '',
  cautions: [],
  materials: [],
  effects,
  ...more,
})
const STEPS = [
  step('lid-off', ['FILTER_OPENED']),
  step('out:13', ['PART_OUT', 'BIO_OUT'], { stageId: 13, tub: 3 }),
  step('lift:place-1', ['PLACE_OUT'], { place: 1, tub: 1 }),
  step('out:11', ['PART_OUT'], { stageId: 11, tub: 1 }),
  step('second', []),
  step('back:11', ['PART_IN'], { stageId: 11 }),
  step('set:place-1', ['PLACE_IN'], { place: 1 }),
  step('back:13', ['PART_IN'], { stageId: 13 }),
  step('lid', ['FILTER_SHUT']),
]
const after = (count: number) =>
  insideAfter(STEPS, new Set(STEPS.slice(0, count).map(({ id }) => id)), STEPS[count])

describe('what is out of a filter', () => {
  it('is nothing before the first step, and the head comes next', () => {
    expect(after(0)).toEqual({ ...SHUT, next: { thing: 'lid', way: 'out' } })
  })

  it('goes where its step says, and what comes next is told', () => {
    const inside = after(3)

    expect(inside.lidOff).toBe(true)
    expect([...inside.out]).toEqual([
      ['stage-13', 3],
      ['place-1', 1],
    ])
    expect(inside.next).toEqual({ thing: 'stage-11', way: 'out' })
  })

  it('is nothing again at the end, with the head on', () => {
    expect(after(9)).toEqual(SHUT)
  })

  it('follows a tick that is taken back', () => {
    const done = new Set(['lid-off', 'out:13', 'lift:place-1'])
    done.delete('lift:place-1')

    expect([...insideAfter(STEPS, done, STEPS[2]).out.keys()]).toEqual(['stage-13'])
  })

  it('is everything while a filter is put together, with the head off', () => {
    const steps = [
      step('load:place-1', ['PLACE_IN'], { place: 1 }),
      step('load:place-0', ['PLACE_IN'], { place: 0 }),
      step('lid', ['FILTER_SHUT']),
    ]

    const begun = insideAfter(steps, new Set(['load:place-1']), steps[1])

    expect(begun.lidOff).toBe(true)
    expect([...begun.out]).toEqual([['place-0', undefined]])
    expect(begun.next).toEqual({ thing: 'place-0', way: 'back' })
  })

  it('counts the tubs that steps name, and a second one for the second squeeze', () => {
    expect(tubsOf(STEPS)).toBe(3)
    expect(tubsOf([step('first', []), step('second', [])])).toBe(2)
    expect(tubsOf([step('stop', ['POWER_OFF'])])).toBe(0)
  })

  it('numbers places through all chambers', () => {
    const rooms = drawnOf([...CHAMBERS, ...CHAMBERS], PARTS, after(3))

    expect(rooms.flatMap((room) => room.places.map((place) => place.thing))).toEqual([
      'place-0',
      'place-1',
      'place-2',
      'place-3',
    ])
    expect(rooms[0]?.places.map((place) => place.lifted)).toEqual([false, true])
  })

  it('is told to whoever cannot see the picture', () => {
    expect(insideSentence(CHAMBERS, PARTS, after(3))).toBe(
      '2 places from the top: the top tray, the bottom tray. The head is off. ' +
        'Out: bio media in tub 3, the bottom tray in tub 1. Next: lift coarse foam.',
    )
    expect(insideSentence([], PARTS, SHUT)).toBe('Nobody said yet what sits where.')
  })
})
