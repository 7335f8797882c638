import { describe, expect, it } from 'vitest'
import { mountView, stubServer } from '@/testing/mounting'
import CompareView from './CompareView.vue'
import { placeOf, stretchOf } from './scale'
import TankCompared from './TankCompared.vue'

const EFFECT = {
  factor: 'PREFILTER',
  name: 'a pre-filter before it',
  ratio: 0.5,
  low: 0.4,
  high: 0.7,
  told: true,
  with: 20,
  without: 15,
  words: 'With a pre-filter before it, filters fill 0.5 times as fast.',
}
const COMPARED = { runs: 35, filters: 3, days: 45, effects: [EFFECT], untold: ['another filter on the tank'] }

describe('the scale of how fast filters fill', () => {
  it.each([
    [1, 0.5],
    [0.25, 0],
    [4, 1],
    [0.5, 0.25],
    [2, 0.75],
    [0.01, 0],
    [99, 1],
  ])('puts %d at %d', (ratio, place) => {
    expect(placeOf(ratio)).toBeCloseTo(place, 10)
  })

  it('never draws a range away', () => {
    expect(stretchOf(0.5, 1)).toEqual({ from: 0.25, width: 0.25 })
    expect(stretchOf(9, 9).width).toBeGreaterThan(0)
  })
})

describe('filters compared', () => {
  it('tells each effect with how many runs it rests on, and of what too few are there', async () => {
    stubServer({ 'GET /api/filters-compared': COMPARED })
    const { wrapper } = await mountView(CompareView)

    expect(wrapper.text()).toContain('35 runs of 3 filters')
    expect(wrapper.get('li').text()).toContain('filters fill 0.5 times as fast')
    expect(wrapper.get('li').text()).toContain('20 runs with, 15 without')
    expect(wrapper.get('.range').classes()).toContain('told')
    expect(wrapper.text()).toContain(
      'Too few runs with or without, fewer than three: Another filter on the tank.',
    )
  })

  it('draws what cannot be told from chance otherwise', async () => {
    stubServer({ 'GET /api/filters-compared': { ...COMPARED, effects: [{ ...EFFECT, told: false }] } })
    expect((await mountView(CompareView)).wrapper.get('.range').classes()).not.toContain('told')
  })

  it('says what it needs while there is nothing, and what failed', async () => {
    stubServer({ 'GET /api/filters-compared': { runs: 0, filters: 0, days: 0, effects: [], untold: [] } })
    expect((await mountView(CompareView)).wrapper.text()).toContain('No run has ended with a look yet')
    stubServer({ 'GET /api/filters-compared': 500 })
    expect((await mountView(CompareView)).wrapper.get('[role=alert]').text()).toContain('the comparison')
  })

  it('stands on a tank once it is told, and not before', async () => {
    const filters = {
      'GET /api/tanks/2/filters': [
        { id: 1, tankId: 2, kind: 'CANISTER', name: 'Weir', stages: [], tasks: [] },
      ],
    }
    stubServer({ ...filters, 'GET /api/filters-compared': COMPARED })
    expect((await mountView(TankCompared, { tank: 2 })).wrapper.text()).toContain('0.5 times as fast')
    stubServer({
      ...filters,
      'GET /api/filters-compared': { ...COMPARED, effects: [{ ...EFFECT, told: false }] },
    })
    expect((await mountView(TankCompared, { tank: 2 })).wrapper.text()).toBe('')
  })
})
