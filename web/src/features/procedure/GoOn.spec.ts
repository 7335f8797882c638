import { beforeEach, describe, expect, it, vi } from 'vitest'
import { mountView, settled, stubServer } from '@/testing/mounting'
import GoOn from './GoOn.vue'
import ThenPick from './ThenPick.vue'

const NEXT = '00000000-0000-4000-8000-000000000002'

const OFF = { id: 'heater-off:filter', effects: ['HEATER_OFF'] }
const done = (step: string) => ({
  id: step,
  kind: 'DONE',
  step,
  value: '',
  happenedAt: '2026-06-01T11:00:00Z',
})
const guided = (more: object) => ({
  id: 'a1',
  then: [{ filterId: 4, filterName: 'Lagoon', tasks: [21, 22] }],
  steps: [OFF],
  events: [],
  ...more,
})

describe('after one filter', () => {
  beforeEach(() => {
    vi.spyOn(crypto, 'randomUUID').mockReturnValue(NEXT)
  })
  it('goes on with the next, and says which service it follows', async () => {
    const asked = stubServer({ [`PUT /api/guided-services/${NEXT}`]: guided({ id: NEXT }) })
    const { wrapper } = await mountView(GoOn, { guided: guided({}) })

    await wrapper.get('button').trigger('click')
    await settled()

    const sent = asked.find((one) => one.call.startsWith('PUT'))
    expect(sent?.body).toMatchObject({ filterId: 4, tasks: [21, 22], after: 'a1' })
  })

  it('warns of a heater that is still off, and only of one', async () => {
    stubServer({})
    const off = await mountView(GoOn, { guided: guided({ events: [done('heater-off:filter')] }) })
    const never = await mountView(GoOn, { guided: guided({}) })

    expect(off.wrapper.text()).toContain('The heater is still off')
    expect(never.wrapper.text()).not.toContain('heater')
  })

  it('is not there where nothing follows', async () => {
    stubServer({})
    const { wrapper } = await mountView(GoOn, { guided: guided({ then: [] }) })

    expect(wrapper.text()).toBe('')
  })
})

describe('filters in the same go', () => {
  const task = (id: number, name: string) => ({ id, name, mode: 'LEARN' })
  const filters = [
    { id: 4, name: 'Lagoon', tasks: [task(21, 'Rinse the sponge'), task(22, 'Change the pad')] },
    { id: 5, name: 'Bellows', tasks: [task(31, 'Squeeze the sponge')] },
  ]

  it('offers those that have work due, with that work', async () => {
    const { wrapper } = await mountView(ThenPick, { filters, wanted: [22], modelValue: [] })

    expect(wrapper.findAll('.tick').map((one) => one.text())).toEqual(['Then Lagoon: Change the pad'])
  })

  it('picks all due tasks of a filter at once', async () => {
    const { wrapper } = await mountView(ThenPick, { filters, wanted: [21, 22, 31], modelValue: [] })

    await wrapper.get('input').setValue(true)

    expect(wrapper.findComponent(ThenPick).emitted('update:modelValue')).toEqual([[[21, 22]]])
  })

  it('says at the place why it does not go', async () => {
    const { wrapper } = await mountView(ThenPick, {
      filters,
      wanted: [21],
      modelValue: [21],
      error: 'Leave one for next week.',
    })

    expect(wrapper.get('[role=alert]').text()).toBe('Leave one for next week.')
  })
})
