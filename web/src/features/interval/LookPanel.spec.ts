import { describe, expect, it } from 'vitest'
import { mountView, settled, stubServer } from '@/testing/mounting'
import LookPanel from './LookPanel.vue'
import type { Forecast } from './queries'

const forecast = (signs: Forecast['signs']): Forecast => ({
  subject: { tankId: 1, filterId: 2, stageId: 7, taskId: 9, name: 'Change carbon' },
  standing: 'LATER',
  window: { earliest: '2026-11-20', ideal: '2026-11-23', latest: '2026-11-24' },
  since: '2026-11-01',
  intervalDays: 28,
  basis: 'START',
  reasons: [],
  signs,
})
const TINT: Forecast['signs'] = [
  { sign: 'NO_TINT', words: 'No tint against a white card', unit: 'NONE' },
  { sign: 'TINT_BACK', words: 'The tint is back', unit: 'NONE' },
]
const ROLL: Forecast['signs'] = [{ sign: 'LEFT', words: 'Left on the roll', unit: 'METRES' }]
const LAMP: Forecast['signs'] = [{ sign: 'BURNT', words: 'Hours on its counter', unit: 'HOURS' }]
const SEEN = [
  { id: 'a', stageId: 7, on: '2026-11-10', sign: 'NO_TINT', words: 'No tint', lookedBy: 'Osei' },
  {
    id: 'c',
    stageId: 7,
    on: '2026-11-12',
    sign: 'BURNT',
    words: 'Hours on its counter',
    amount: 5480,
    lookedBy: 'Counter',
  },
  { id: 'b', stageId: 8, on: '2026-11-11', sign: 'DARK', words: 'Of another stage', lookedBy: 'Osei' },
]

async function open(signs: Forecast['signs']) {
  const asked = stubServer({
    'GET /api/session': { name: 'Marit', demoAccounts: [] },
    'GET /api/tanks/1/looks': SEEN,
  })
  const { wrapper } = await mountView(LookPanel, { forecast: forecast(signs) })
  const sent = () => asked.filter((one) => one.call.startsWith('PUT /api/looks/'))
  const press = async (words: string) => {
    await wrapper
      .findAll('button')
      .find((button) => button.text() === words)
      ?.trigger('click')
    await settled()
  }
  return { wrapper, sent, press }
}

describe('a look between services', () => {
  it('shows what was seen of this stage before, not of others', async () => {
    const { wrapper } = await open(TINT)

    expect(wrapper.text()).toContain('No tint')
    expect(wrapper.text()).not.toContain('Of another stage')
  })

  it('asks for a number before it sends a sign that has one', async () => {
    const { wrapper, sent, press } = await open(ROLL)

    await press('Left on the roll')

    expect(sent()).toHaveLength(0)
    expect(wrapper.find('[data-field=amount] input').exists()).toBe(true)
  })

  it('takes what a lamp’s counter reads, and shows it in hours', async () => {
    const { wrapper, sent, press } = await open(LAMP)
    expect(wrapper.text()).toContain('5,480 h')

    await press('Hours on its counter')
    expect(wrapper.find('[data-field=amount]').text()).toContain('h')
    await wrapper.find('[data-field=amount] input').setValue('5600')
    await wrapper.find('form').trigger('submit')
    await settled()

    expect(sent()[0]?.body).toMatchObject({ sign: 'BURNT', amount: 5600 })
  })

  it('says at the field what is no number', async () => {
    const { wrapper, sent, press } = await open(ROLL)
    await press('Left on the roll')
    await wrapper.find('[data-field=amount] input').setValue('half')

    await wrapper.find('form').trigger('submit')
    await settled()

    expect(wrapper.text()).toContain('This is not a number.')
    expect(sent()).toHaveLength(0)
  })
})
