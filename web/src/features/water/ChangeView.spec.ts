import { describe, expect, it, vi } from 'vitest'
import { mountView, refusal, settled, stubServer } from '@/testing/mounting'
import ChangeView from './ChangeView.vue'
import TapFields from './TapFields.vue'

const QUESTION = 'That is 80 % of the tank at once, which shocks animals and bacteria. Is it right?'
const asks = refusal(422, { errors: [{ field: 'litres', code: 'asked', message: QUESTION }] })

async function open(answer: unknown) {
  vi.spyOn(crypto, 'randomUUID').mockReturnValue('0-0-0-0-0')
  const server = stubServer({
    'GET /api/session': { name: 'Marit', demoAccounts: [] },
    'GET /api/tanks/1': { id: 1, version: 1, tank: { name: 'Brook bench', netVolumeL: 50, setting: {} } },
    'GET /api/tanks/1/water': { last: [], holds: [], due: [], production: [], best: [], tap: [] },
    'GET /api/parameters': [],
    'PUT /api/tanks/1/water-changes/0-0-0-0-0': answer,
  })
  const { wrapper, router } = await mountView(ChangeView, { tank: 1 })
  const sent = () => server.filter(({ call }) => call.startsWith('PUT'))
  const submit = async () => {
    await wrapper.get('form').trigger('submit')
    await settled()
  }
  return { wrapper, router, sent, submit }
}

describe('logging a water change', () => {
  it('asks about what surprises, and takes it once the keeper says it is right', async () => {
    const { wrapper, sent, submit } = await open(asks)
    await wrapper.get('[data-field=litres] input').setValue('40')

    await submit()

    expect(wrapper.get('[data-field=litres]').text()).toContain(QUESTION)
    const right = wrapper.findAll('button').find((button) => button.text() === 'It’s right, log it')
    await right?.trigger('click')
    await settled()
    expect(sent().map(({ body }) => (body as { confirmed: boolean }).confirmed)).toEqual([false, true])
  })

  it('does not send an amount that is no number', async () => {
    const { wrapper, sent, submit } = await open(asks)
    await wrapper.get('[data-field=litres] input').setValue('a lot')

    await submit()

    expect(sent()).toEqual([])
    expect(wrapper.get('[data-field=litres]').text()).toContain('This is not a number.')
  })
})

describe('tap water', () => {
  it('is stated for the whole site, and forgotten when left blank', async () => {
    const server = stubServer({
      'GET /api/session': { name: 'Marit', role: 'KEEPER', demoAccounts: [] },
      'PUT /api/tap': null,
    })
    const { wrapper } = await mountView(TapFields, {
      tap: [{ parameter: 'NITRATE', amount: 25, ofTank: false }],
    })
    expect((wrapper.get('input').element as HTMLInputElement).value).toBe('25')

    await wrapper.get('input').setValue('')
    await wrapper.get('form').trigger('submit')
    await settled()

    expect(server.filter(({ call }) => call === 'PUT /api/tap').map(({ body }) => body)).toEqual([
      { parameter: 'NITRATE' },
    ])
  })

  it('is read by a helper, who is offered nothing that would be refused', async () => {
    stubServer({ 'GET /api/session': { name: 'Osei', role: 'HELPER', demoAccounts: [] } })

    const { wrapper } = await mountView(TapFields, {
      tap: [{ parameter: 'NITRATE', amount: 25, ofTank: false }],
    })
    await settled()

    expect((wrapper.get('input').element as HTMLInputElement).value).toBe('25')
    expect(wrapper.find('button').exists()).toBe(false)
  })
})
