import { describe, expect, it } from 'vitest'
import { mountView, refusal, settled, stubServer } from '@/testing/mounting'
import MovedPanel from './MovedPanel.vue'
import type { Saved } from './queries'

const span = (ideal: string, intervalDays: number) => ({
  window: { earliest: ideal, ideal, latest: ideal },
  intervalDays,
})
const moved = (taskId: number, name: string) => ({
  taskId,
  name,
  before: span('2026-12-08', 13),
  after: span('2026-12-04', 9),
  reasons: ['Found heavy after 12 days.'],
})
const SERVICE: Saved['service'] = {
  id: 'x',
  version: 1,
  tankId: 1,
  doneOn: '2026-11-25',
  doneBy: 'Ines',
  note: '',
  tasks: [
    {
      taskId: 9,
      filterId: 2,
      stageId: 4,
      name: 'Rinse the pre-filter',
      told: 'Pre-filter rinsed',
      finding: 'HEAVY',
    },
  ],
  flows: [],
  circumstances: { parts: [] },
  photos: 0,
}
const SAVED: Saved = {
  service: SERVICE,
  moved: [moved(9, 'Rinse the pre-filter'), moved(10, 'Open canister Weir')],
  twins: [],
  questions: [],
}

async function open(saved: Saved, answers: Record<string, unknown> = {}) {
  const all = stubServer({
    'GET /api/session': { name: 'Ada', role: 'KEEPER', demoAccounts: [] },
    ...answers,
  })
  const { wrapper } = await mountView(MovedPanel, { saved, corrected: false })
  const press = async (name: string) => {
    await wrapper
      .findAll('button')
      .find((button) => button.text() === name)
      ?.trigger('click')
    await settled()
  }
  const asked = () => all.filter(({ call }) => call !== 'GET /api/session')
  return { wrapper, asked, press }
}

describe('after saving', () => {
  it('tells the old and the new window of what was done, and why', async () => {
    const { wrapper } = await open(SAVED)

    const row = wrapper.get('[data-moved="Rinse the pre-filter"]').text()
    expect(row).toContain('every 13 days')
    expect(row).toContain('every 9 days')
    expect(row).toContain('Found heavy after 12 days.')
    expect(wrapper.find('[data-moved="Open canister Weir"]').exists()).toBe(false)
  })

  it('shows what else moved when asked', async () => {
    const { wrapper, press } = await open(SAVED)

    await press('Show all 2')

    expect(wrapper.find('[data-moved="Open canister Weir"]').exists()).toBe(true)
  })

  it('can be taken back, and put back again', async () => {
    const { wrapper, asked, press } = await open(SAVED, {
      'DELETE /api/services/x': 204,
      'POST /api/services/x/restore': SERVICE,
    })
    await press('Undo')
    expect(wrapper.get('h1').text()).toBe('Taken back')

    await press('Put it back')

    expect(wrapper.get('h1').text()).toBe('Saved')
    expect(
      asked()
        .map(({ call }) => call)
        .filter((call) => call !== 'GET /api/eye'),
    ).toEqual(['DELETE /api/services/x', 'POST /api/services/x/restore'])
  })

  it('offers the pictures kindly when it is time for them', async () => {
    const { wrapper } = await open(SAVED, { 'GET /api/eye': { pictures: [], offered: true, moved: [] } })

    expect(wrapper.text()).toContain('Have a minute? Grade twelve drawn pads')
  })

  it('says so when it cannot be taken back', async () => {
    const { wrapper, press } = await open(SAVED, {
      'DELETE /api/services/x': refusal(404, { detail: 'No such service on this site.' }),
    })

    await press('Undo')

    expect(wrapper.get('h1').text()).toBe('Saved')
    expect(wrapper.get('[role=alert]').text()).toBe('No such service on this site.')
  })

  it('offers to make one of two that logged the same', async () => {
    const twin = { ...SERVICE, id: 'y', doneBy: 'Osei' }
    const { wrapper, asked, press } = await open(
      { ...SAVED, twins: [twin] },
      { 'POST /api/services/x/twins/y': SAVED },
    )
    expect(wrapper.get('.twin').text()).toContain('Osei logged the same that day: Pre-filter rinsed, heavy')

    await press('Merge the two')

    expect(
      asked()
        .map(({ call }) => call)
        .filter((call) => call !== 'GET /api/eye'),
    ).toEqual(['POST /api/services/x/twins/y'])
    expect(wrapper.emitted('merged')).toEqual([[SAVED]])
  })
})
