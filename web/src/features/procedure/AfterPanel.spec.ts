import { describe, expect, it } from 'vitest'
import { mountView, settled, stubServer } from '@/testing/mounting'
import AfterPanel from './AfterPanel.vue'

const SAVED = {
  service: {
    id: 's',
    tankId: 2,
    doneOn: '2026-06-01',
    doneBy: 'Marit',
    minutes: 31,
    tasks: [],
    flows: [{ filterId: 4, beforeLph: 500, afterLph: 800 }],
  },
  moved: [],
  twins: [],
  questions: [],
}
const step = (id: string, drawnL = 0) => ({
  id,
  text: id,
  reason: '',
  cautions: [],
  materials: [],
  effects: [],
  drawnL,
})

async function open(occasion: string) {
  stubServer({
    'GET /api/session': { name: 'Marit', role: 'KEEPER', demoAccounts: [] },
    'GET /api/tanks/2/watches': [],
  })
  const guided = {
    id: 's',
    occasion,
    steps: [step('draw:filter', 10), step('read:filter', 5)],
    then: [],
    events: [{ id: 'e', kind: 'DONE', step: 'draw:filter', value: '', happenedAt: '2026-06-01T10:00:00Z' }],
    finishedAt: '2026-06-01T10:30:00Z',
  }
  const { wrapper } = await mountView(AfterPanel, { saved: SAVED, guided })
  await settled()
  return wrapper
}

describe('after a service', () => {
  it('tells what it took, what flow came back, the water drawn by steps that were done, and when to look', async () => {
    const wrapper = await open('SERVICE')

    expect(wrapper.text()).toContain('31 minutes of work.')
    expect(wrapper.text()).toContain('Flow 500 L/h before, 800 L/h after.')
    expect(wrapper.text()).toContain('10 L were drawn from the tank.')
    expect(wrapper.text()).toContain('In ten minutes')
  })

  it('of a filter that was taken down asks for tests, and not for flow that is gone', async () => {
    const wrapper = await open('STORE')

    expect(wrapper.text()).toContain('test ammonia and nitrite daily')
    expect(wrapper.text()).not.toContain('flow as it was left')
  })
})
