import Sortable from 'sortablejs'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { mountView, settled, stubServer } from '@/testing/mounting'
import DayGrid from './DayGrid.vue'
import type { Plan } from './queries'

/** What each day was given to carry visits with, by its day. */
const days = new Map<string, Sortable.Options>()
const VISIT = {
  id: 'v1',
  on: '2026-06-01',
  tank: 'Brook bench',
  tankId: 2,
  minutes: 20,
  tasks: [{ chain: 1, name: 'Rinse the pre-filter', minutes: 5, pinned: false }],
}
const PLAN = {
  today: '2026-06-01',
  days: ['01', '02', '03'].map((day) => ({
    on: `2026-06-${day}`,
    minutes: 20,
    keeperMinutes: 60,
    helperMinutes: 0,
  })),
  visits: [VISIT],
} as unknown as Plan

async function open(still = false) {
  stubServer({
    'POST /api/plan/prices': { days: [{ on: '2026-06-02', words: 'One day late, nothing lost.' }] },
  })
  const { wrapper } = await mountView(DayGrid, { plan: PLAN, still })
  return wrapper
}

function pointAt(on: string | undefined) {
  document.elementFromPoint = () => (on ? document.querySelector(`[data-on="${on}"]`) : document.body)
  document.dispatchEvent(new MouseEvent('pointermove', { clientX: 5, clientY: 5 }))
}

const lift = (id: string) => {
  const item = document.createElement('b')
  item.dataset.visit = id
  days.get('2026-06-01')?.onStart?.({ item } as unknown as Sortable.SortableEvent)
}
const letGo = (originalEvent?: object) =>
  days.get('2026-06-01')?.onEnd?.({ originalEvent } as unknown as Sortable.SortableEvent)

describe('a visit carried by mouse or finger', () => {
  beforeEach(() => {
    vi.spyOn(Sortable, 'create').mockImplementation((box, options = {}) => {
      days.set(box.dataset.on ?? '', options)
      return { option: () => undefined, destroy: () => undefined } as unknown as Sortable
    })
  })
  afterEach(() => days.clear())

  it('goes to the day it is let go over', async () => {
    const wrapper = await open()
    lift('v1')
    pointAt('2026-06-02')
    await settled()
    expect(wrapper.get('.over').attributes('data-on')).toBe('2026-06-02')

    letGo()
    expect(wrapper.findComponent(DayGrid).emitted('move')).toEqual([[VISIT, '2026-06-02']])
    await settled()
    expect(wrapper.find('.over').exists()).toBe(false)
  })

  it('stays where it is when it comes back to its own day', async () => {
    const wrapper = await open()
    lift('v1')
    pointAt('2026-06-02')
    pointAt('2026-06-01')
    letGo()

    expect(wrapper.findComponent(DayGrid).emitted('move')).toBeUndefined()
  })

  it('is taken to have been over the last day where it is let go beside all days', async () => {
    const wrapper = await open()
    lift('v1')
    pointAt('2026-06-03')
    pointAt(undefined)
    letGo()

    expect(wrapper.findComponent(DayGrid).emitted('move')).toEqual([[VISIT, '2026-06-03']])
  })

  it('goes where a quick hand or a finger let it go, though it was seen nowhere between', async () => {
    for (const end of [{ clientX: 5, clientY: 5 }, { changedTouches: [{ clientX: 5, clientY: 5 }] }]) {
      const wrapper = await open()
      lift('v1')
      document.elementFromPoint = () => document.querySelector('[data-on="2026-06-03"]')
      letGo(end)

      expect(wrapper.findComponent(DayGrid).emitted('move')).toEqual([[VISIT, '2026-06-03']])
      wrapper.unmount()
      days.clear()
    }
  })

  it('cannot be lifted where the plan is only looked at, nor moved in the document by the library', async () => {
    await open(true)

    const given = days.get('2026-06-01')
    expect(given?.disabled).toBe(true)
    expect(given?.onMove?.({} as Sortable.MoveEvent, new Event('move'))).toBe(false)
    expect(given?.delayOnTouchOnly).toBe(true)
  })
})
