import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Forecast } from '@/features/interval'
import type { Filter } from './queries'
import { CELL, siltHeight } from './picture'
import WaterPath from './WaterPath.vue'

const TODAY = '2026-11-25'

function stage(id: number, kind: Filter['stages'][number]['kind'], name: string): Filter['stages'][number] {
  return { id, kind, name, label: '', quantity: 1, make: 'WASHABLE', bagged: false, size: '', lasting: {} }
}

const FILTER: Filter = {
  id: 2,
  tankId: 1,
  version: 1,
  name: 'Weir',
  kind: 'CANISTER',
  rating: {},
  stages: [
    stage(1, 'PREFILTER_SPONGE', 'pre-filter'),
    { ...stage(2, 'BIO_MEDIA', 'bio media'), massG: 1400 },
    stage(3, 'SEALS', 'seals'),
  ],
  cleaned: { on: '2026-01-01', sureness: 'EXACT' },
  passport: {},
  placesStated: false,
  doubts: [],
  tasks: [],
}

function forecast(stageId: number, standing: Forecast['standing'], likely?: number): Forecast {
  return {
    subject: { tankId: 1, filterId: 2, stageId, taskId: stageId, name: 'task' },
    standing,
    window: { earliest: '2026-11-20', ideal: '2026-11-23', latest: '2026-11-24' },
    since: '2026-11-10',
    intervalDays: 13,
    basis: 'LEARNED',
    loading:
      likely === undefined ? undefined : { low: likely / 2, likely, high: likely * 1.5, servicePoint: 0.6 },
    reasons: [],
    signs: [],
  }
}

function picture(forecasts: Forecast[]) {
  return mount(WaterPath, { props: { filter: FILTER, forecasts, today: TODAY } })
}

describe('the water path', () => {
  it('shows stages in the order water meets them, with media by mass', () => {
    const names = picture([])
      .findAll('.stage')
      .map((cell) => cell.text())

    expect(names[0]).toContain('pre-filter')
    expect(names[1]).toContain('1.4 kg')
    expect(names[2]).toContain('seals')
  })

  it('tells the loading in words, and the state by word as well as by colour', () => {
    const cell = picture([forecast(1, 'LATE', 0.8)]).findAll('.stage')[0]

    expect(cell?.text()).toContain('1 day overdue')
    expect(cell?.text()).toContain('About 80 % of clogged, between 40 % and past clogged; asked for at 60 %.')
  })

  it('draws silt only where dirt counts', () => {
    const cells = picture([forecast(1, 'OPEN', 0.3), forecast(3, 'OPEN')]).findAll('.stage')

    expect(cells[0]?.findAll('.silt')).toHaveLength(1)
    expect(cells[2]?.findAll('.silt')).toHaveLength(0)
  })

  it('never says more than clogged', () => {
    const words = (likely: number) =>
      picture([forecast(1, 'LATE', likely)])
        .findAll('.stage')[0]
        ?.text()

    expect(words(0.5)).toContain('About 50 % of clogged, between 25 % and 75 %; asked for at 60 %.')
    expect(words(1.4)).toContain('Likely past clogged, at least 70 %; asked for at 60 %.')
    expect(words(5.4)).toContain('Past clogged; asked for at 60 %.')
  })

  it('leads the stream over a cell that is thought to be clogged', () => {
    expect(picture([forecast(1, 'LATE', 1.1)]).findAll('.over')).toHaveLength(1)
    expect(picture([forecast(1, 'LATE', 0.9)]).findAll('.over')).toHaveLength(0)
  })

  it('lets silt spill a little over the rim, and no further', () => {
    expect(siltHeight(0.5)).toBe(CELL / 2)
    expect(siltHeight(9)).toBeCloseTo(1.1 * CELL)
    expect(siltHeight(-1)).toBe(0)
  })
})
