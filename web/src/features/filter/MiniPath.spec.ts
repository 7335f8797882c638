import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Forecast } from '@/features/interval'
import MiniPath from './MiniPath.vue'

const STAGES = [
  { id: 1, kind: 'SOCK' as const, name: 'sock' },
  { id: 2, kind: 'BIO_MEDIA' as const, name: 'bio media' },
]
const care = (stageId: number, over: object) =>
  ({ subject: { stageId }, standing: 'LATER', ...over }) as Forecast
const LOADING = { low: 0.4, likely: 0.6, high: 0.8, servicePoint: 0.7 }

const path = (forecasts: Forecast[], stages = STAGES) =>
  mount(MiniPath, { props: { name: 'Undertow', stages, forecasts } })

describe('a small water path', () => {
  it('tells in a sentence what asks for something', () => {
    const told = path([care(1, { standing: 'LATE' }), care(2, { hold: { reason: 'A new tank' } })])

    expect(told.get('svg').attributes('aria-label')).toBe('Undertow: sock overdue, bio media on hold')
    expect(told.findAll('g').map((cell) => cell.classes())).toEqual([['late'], ['held']])
  })

  it('says so when nothing does', () => {
    expect(
      path([care(1, { standing: 'OPEN' })])
        .get('svg')
        .attributes('aria-label'),
    ).toBe('Undertow: nothing due')
  })

  it('draws silt only where it was estimated, low under high', () => {
    const drawn = path([care(1, { loading: LOADING })])

    const heights = ['.perhaps', '.silt'].map((of) => Number(drawn.get(of).attributes('height')))
    expect(drawn.findAll('.silt')).toHaveLength(1)
    expect(heights[0]).toBeGreaterThan(heights[1] ?? Infinity)
  })

  it('is not there for a filter without stages', () => {
    expect(path([], []).find('svg').exists()).toBe(false)
  })
})
