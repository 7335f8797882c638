import { describe, expect, it } from 'vitest'
import { mountView, stubServer } from '@/testing/mounting'
import PhonesView from './PhonesView.vue'

describe('phones in the house', () => {
  it('begin at the plain page, and what they show is compared here', async () => {
    stubServer({
      'GET /api/house': {
        addresses: ['https://192.168.1.20:8443/'],
        starts: ['http://192.168.1.20:8444/'],
        fingerprint: 'AB CD',
      },
    })

    const { wrapper } = await mountView(PhonesView)

    expect(wrapper.get('b').text()).toBe('http://192.168.1.20:8444/')
    expect(wrapper.get('ol code').text()).toBe('AB CD')
    expect(wrapper.find('svg.square path').attributes('d')).toMatch(/^M2 2h1v1h-1z/)
    expect(wrapper.find('[data-field="which"]').exists()).toBe(false)
  })

  it('of two networks each have their own way in', async () => {
    stubServer({
      'GET /api/house': {
        addresses: ['https://192.168.1.20:8443/', 'https://10.0.0.4:8443/'],
        starts: ['http://192.168.1.20:8444/', 'http://10.0.0.4:8444/'],
        fingerprint: 'AB CD',
      },
    })
    const { wrapper } = await mountView(PhonesView)

    await wrapper.findAll('input[type="radio"]')[1]?.setValue(true)

    expect(wrapper.get('b').text()).toBe('http://10.0.0.4:8444/')
  })

  it('cannot come while the site is open to one computer, and it is said how they could', async () => {
    stubServer({ 'GET /api/house': { addresses: [], starts: [] } })

    const { wrapper } = await mountView(PhonesView)

    expect(wrapper.text()).toContain('./chervil start --house')
  })
})
