import { describe, expect, it, vi } from 'vitest'
import served from '@/generated/sums.json'
import { mountView, stubServer } from '@/testing/mounting'
import FilterFacts from './FilterFacts.vue'
import MediaFact from './MediaFact.vue'

const BROOK = {
  id: 2,
  version: 1,
  tank: { name: 'Brook bench', netVolumeL: 220, setting: { stocking: 'LIGHT', bucketL: 8 } },
}
const BIO = { id: 6, kind: 'BIO_MEDIA', name: 'bio media', label: '', lasting: {}, massG: 1500 }
const WEIR = { id: 4, name: 'Weir', kind: 'CANISTER', rating: { flowLph: 900 }, stages: [BIO], tasks: [] }
const CAUGHT = { doneOn: '2026-05-20', tasks: [], flows: [{ filterId: 4, beforeLph: 640 }] }

function serve(more: Record<string, unknown> = {}) {
  return stubServer({
    'GET /api/sums': served,
    'GET /api/tanks': [BROOK],
    'GET /api/tanks/2/filters': [WEIR],
    'GET /api/tanks/2/sums': [],
    'GET /api/tanks/2/water': { last: [], tap: [], production: [] },
    'GET /api/tanks/2/services': [CAUGHT],
    'GET /api/forecasts': [],
    'GET /api/stores': { items: [], notKept: [] },
    'GET /api/vessels': [],
    ...more,
  })
}

describe('what follows from what is known', () => {
  it('of a filter stands in a line: its flow, and how often it turns the tank over', async () => {
    serve()
    const { wrapper } = await mountView(FilterFacts, { tank: 2, filter: 4 })

    await vi.waitFor(() => {
      expect(wrapper.text()).toContain('640 L/h')
    })
    expect(wrapper.text()).toContain('71 % of the plate')
    expect(wrapper.text()).toContain('2.9 times an hour')
  })

  it('of a filter of which nothing is known is nothing', async () => {
    serve({ 'GET /api/tanks/2/filters': [{ ...WEIR, rating: {} }], 'GET /api/tanks/2/services': [] })
    const { wrapper } = await mountView(FilterFacts, { tank: 2, filter: 4 })

    expect(wrapper.find('dl').exists()).toBe(false)
  })

  it('of a tank is what its media carries, and how it was reckoned', async () => {
    const asked = serve({
      'POST /api/sums/need': { values: { needKg: 1.54, coverage: 0.974 }, warnings: [] },
    })
    const { wrapper } = await mountView(MediaFact, { tank: 2 })

    await vi.waitFor(() => {
      expect(wrapper.text()).toContain('1.5 kg needed, what lies there carries 97 % of it')
    })
    expect(asked.find((one) => one.call === 'POST /api/sums/need')?.body).toEqual({
      given: { netL: 220, stocking: 'LIGHT', media: 'POROUS', have: [{ media: 'POROUS', kg: 1.5 }] },
    })
    expect(wrapper.get('a').attributes('href')).toBe('/bench/sums/need?tank=2')
  })

  it('of a tank whose media nobody weighed is nothing', async () => {
    const asked = serve({ 'GET /api/tanks/2/filters': [{ ...WEIR, stages: [] }] })
    const { wrapper } = await mountView(MediaFact, { tank: 2 })

    expect(wrapper.text()).toBe('')
    expect(asked.some((one) => one.call.startsWith('POST'))).toBe(false)
  })
})
