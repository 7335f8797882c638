import { beforeEach, describe, expect, it, vi } from 'vitest'
import { mountView, refusal, settled, stubServer } from '@/testing/mounting'
import LookOverView from './LookOverView.vue'

const ID = '00000000-0000-4000-8000-000000000001'

const PROCEDURE = {
  filterName: 'Weir',
  steps: [{ id: 'over-cord:filter', text: 'Look along the cord of Weir.', reason: '', cautions: [] }],
  carry: [],
  minutes: 20,
  rinseWith: '',
  warnings: [],
  held: [],
  tasks: [],
  then: [],
  tooMuch: false,
}
const TANK = { 'GET /api/tanks/2': { id: 2, tank: { name: 'Brook bench', setting: { water: 'FRESH' } } } }

describe('looking a neglected filter over', () => {
  beforeEach(() => {
    vi.spyOn(crypto, 'randomUUID').mockReturnValue(ID)
  })
  it('tells every step, and begins as a look-over', async () => {
    const asked = stubServer({
      ...TANK,
      'GET /api/filters/3/look-over': PROCEDURE,
      [`PUT /api/guided-services/${ID}`]: {},
    })
    const { wrapper, router } = await mountView(LookOverView, { tank: 2, filter: 3 })

    expect(wrapper.text()).toContain('Look along the cord of Weir.')
    await wrapper.get('.begin button').trigger('click')
    await settled()

    expect(asked.find((one) => one.call.startsWith('PUT'))?.body).toMatchObject({
      filterId: 3,
      occasion: 'LOOK_OVER',
    })
    expect(router.currentRoute.value.name).toBe('service')
  })

  it('stays and says why where it does not begin', async () => {
    stubServer({
      ...TANK,
      'GET /api/filters/3/look-over': PROCEDURE,
      [`PUT /api/guided-services/${ID}`]: refusal(422, { detail: 'Not now.', errors: [] }),
    })
    const { wrapper, router } = await mountView(LookOverView, { tank: 2, filter: 3 })

    await wrapper.get('.begin button').trigger('click')
    await settled()

    expect(wrapper.find('[role=alert]').exists()).toBe(true)
    expect(router.currentRoute.value.name).toBe('rounds')
  })
})
