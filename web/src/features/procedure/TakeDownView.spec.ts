import { describe, expect, it } from 'vitest'
import { mountView, settled, stubServer } from '@/testing/mounting'
import TakeDownView from './TakeDownView.vue'

const STEP = {
  id: 'beside:filter',
  text: 'Are the animals boxed?',
  reason: '',
  cautions: [],
  materials: [],
  effects: [],
}
const DOWN = {
  filterName: 'Weir',
  steps: [STEP],
  carry: ['Bucket'],
  minutes: 33,
  rinseWith: '',
  then: [],
  warnings: [],
  held: [],
  tasks: [],
}

async function open(role: string) {
  const asked = stubServer({
    'GET /api/session': { name: 'Marit', role, demoAccounts: [] },
    'GET /api/filters/4/take-down': DOWN,
    'GET /api/tanks/2': { tank: { id: 2, name: 'Brook' } },
    'PUT /api/guided-services/x': 404,
  })
  const { wrapper } = await mountView(TakeDownView, { tank: 2, filter: 4 })
  await settled()
  return { wrapper, asked }
}

describe('taking a filter down', () => {
  it('says what becomes of it, for either purpose, and begins as what was chosen', async () => {
    const { wrapper, asked } = await open('KEEPER')
    expect(wrapper.get('h1').text()).toBe('Take Weir down')
    expect(wrapper.text()).toContain('It stays off until you set it up again')

    await wrapper.findAll('input[type=radio]').at(-1)?.setValue(true)
    await settled()
    expect(wrapper.text()).toContain('It is out of use afterwards.')
    await wrapper
      .findAll('button')
      .find((button) => button.text() === 'Start')
      ?.trigger('click')
    await settled()

    expect(asked.find(({ call }) => call.startsWith('PUT'))?.body).toMatchObject({ occasion: 'STORE' })
  })

  it('a helper may move it, and is not offered to put it away', async () => {
    const { wrapper } = await open('HELPER')

    expect(wrapper.text()).toContain('Move it')
    expect(wrapper.text()).not.toContain('Put it away')
  })
})
