import { describe, expect, it, vi } from 'vitest'
import { choose, mountView, refusal, settled, stubServer } from '@/testing/mounting'
import BenchView from './BenchView.vue'

const TANKS = [{ id: 2, version: 1, tank: { name: 'Brook bench' } }]
const RUN = { id: 'run', state: 'RUNNING', done: 0, total: 400, ways: [] }
const spread = { low: 1, middle: 2, high: 3, values: Array.from({ length: 20 }, () => 2) }
const MEASURES = ['SERVICES', 'HOURS', 'MONEY', 'OVERLOADS', 'WORST_NITRATE', 'WORST_AMMONIA']
const DONE = {
  ...RUN,
  state: 'DONE',
  done: 400,
  ways: [
    { way: 'AS_LEARNED', words: 'As learned', measures: MEASURES.map((measure) => ({ measure, ...spread })) },
  ],
}

async function open(answers: Record<string, unknown> = {}) {
  const asked = stubServer({
    'GET /api/session': { name: 'Marit', demoAccounts: [] },
    'GET /api/tanks': TANKS,
    'POST /api/futures': RUN,
    'GET /api/futures/run': DONE,
    'DELETE /api/futures/run': { ...RUN, state: 'CANCELLED' },
    ...answers,
  })
  const { wrapper } = await mountView(BenchView, {})
  const compare = async () => {
    await wrapper.find('form').trigger('submit')
    await settled()
  }
  const sent = () => asked.filter((one) => one.call === 'POST /api/futures')
  return { wrapper, compare, sent }
}

describe('what if', () => {
  it('asks for the ways in the order of the page and shows every measure', async () => {
    const { wrapper, compare, sent } = await open()
    await choose(wrapper, 'tankId', 'Brook bench')

    await compare()

    expect(sent()[0]?.body).toEqual({
      tankId: 2,
      ways: ['AS_LEARNED', 'HALF_AS_OFTEN'],
      futures: 200,
      partPrice: 3,
    })
    await vi.waitFor(() => {
      expect(wrapper.findAll('.measure')).toHaveLength(MEASURES.length)
    })
  })

  it('lets no fourth way be chosen', async () => {
    const { wrapper } = await open()
    const ways = wrapper.findAll('input[type=checkbox]')
    await ways[1]?.setValue(true)

    expect(ways.filter((way) => way.attributes('disabled') !== undefined)).toHaveLength(2)
  })

  it('says at the field what is no number, and sends nothing', async () => {
    const { wrapper, compare, sent } = await open()
    await wrapper.find('[data-field=futures] input').setValue('some')

    await compare()

    expect(wrapper.text()).toContain('A whole number, 20 to 1,000.')
    expect(sent()).toHaveLength(0)
  })

  it('shows what the server refuses at its field and keeps what was typed', async () => {
    const { wrapper, compare } = await open({
      'POST /api/futures': refusal(400, {
        errors: [{ field: 'futures', code: 'min', message: 'At least 20.' }],
      }),
    })
    await wrapper.find('[data-field=futures] input').setValue('3')

    await compare()

    expect(wrapper.text()).toContain('At least 20.')
    expect(wrapper.find<HTMLInputElement>('[data-field=futures] input').element.value).toBe('3')
  })

  it('shows how far it is and can be stopped', async () => {
    const { wrapper, compare } = await open({ 'GET /api/futures/run': { ...RUN, done: 120 } })

    await compare()
    await vi.waitFor(() => {
      expect(wrapper.find('.progress').text()).toContain('120 of 400')
    })

    expect(wrapper.find('.progress button').text()).toBe('Stop')
  })
})
