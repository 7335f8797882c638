import { describe, expect, it } from 'vitest'
import { mountView, refusal, settled, stubServer } from '@/testing/mounting'
import NewReadingsView from './NewReadingsView.vue'

const TANK = { id: 1, version: 1, tank: { name: 'Brook bench', setting: { water: 'FRESH' } } }
const WATER = { last: [], holds: [], due: [], production: [], best: [] }
const PARAMETERS = [
  { code: 'NITRITE', label: 'Nitrite', unit: 'mg/L', noise: 0.1 },
  { code: 'PH', label: 'pH', unit: '', noise: 0.1 },
]
const METHODS = [
  { parameter: 'NITRITE', name: 'Drop test', limit: 0.1, steps: [{ what: 'WAIT', seconds: 300 }] },
  { parameter: 'PH', name: 'Meter', limit: 0, steps: [] },
]
const ANSWERS = {
  'GET /api/session': { name: 'Marit', demoAccounts: [] },
  'GET /api/tanks/1': TANK,
  'GET /api/tanks/1/water': WATER,
  'GET /api/parameters': PARAMETERS,
  'GET /api/test-methods': METHODS,
  'POST /api/tanks/1/readings/doubts': [],
  'POST /api/tanks/1/readings': WATER,
}

async function open(answers: Record<string, unknown> = {}) {
  const asked = stubServer({ ...ANSWERS, ...answers })
  const { wrapper, router } = await mountView(NewReadingsView, { tank: 1 })
  const stored = () => asked.filter((one) => one.call === 'POST /api/tanks/1/readings')
  const save = async () => {
    await wrapper.find('form').trigger('submit')
    await settled()
  }
  const key = (name: string) => wrapper.find(`.pad [aria-label="${name}"]`).trigger('click')
  return { wrapper, router, stored, save, key }
}

describe('entering readings', () => {
  it('types with its own keys into the value that is chosen', async () => {
    const { wrapper, router, stored, save, key } = await open()
    await wrapper.find('#value-PH').trigger('focus')
    for (const one of ['7', 'point', '4', '5', 'erase']) await key(one)

    await save()

    expect(stored()[0]?.body).toMatchObject({ values: [{ parameter: 'PH', amount: 7.4 }] })
    expect(router.currentRoute.value.name).toBe('tank-water')
  })

  it('marks a value early that is typed while its kit still waits', async () => {
    const { wrapper, stored, save } = await open()
    await wrapper.find('[data-field="NITRITE"] .test button').trigger('click')
    await wrapper.find('#value-NITRITE').setValue('0.5')

    await save()

    expect(stored()[0]?.body).toMatchObject({ values: [{ parameter: 'NITRITE', early: true }] })
  })

  it('asks once about an odd value, then keeps it', async () => {
    const { wrapper, stored, save } = await open({
      'POST /api/tanks/1/readings/doubts': [{ parameter: 'PH', question: 'pH 15 lies outside.' }],
    })
    await wrapper.find('#value-PH').setValue('15')

    await save()

    expect(stored()).toHaveLength(0)
    expect(wrapper.find('[data-field="PH"] .doubt').text()).toBe('pH 15 lies outside.')

    await save()

    expect(stored()).toHaveLength(1)
    expect(stored()[0]?.body).toMatchObject({ confirmed: true })
  })

  it('keeps what was typed when the server refuses or the page is left', async () => {
    const { wrapper, save } = await open({
      'POST /api/tanks/1/readings': refusal(422, {
        detail: 'This value cannot be.',
        code: 'impossible',
        errors: [{ field: 'values[0].amount', code: 'impossible', message: 'This value cannot be.' }],
      }),
    })
    await wrapper.find('#value-PH').setValue('-1')
    await save()

    expect(wrapper.find('[data-field="PH"] .error').text()).toBe('This value cannot be.')
    wrapper.unmount()

    const again = await open()

    expect(again.wrapper.find<HTMLInputElement>('#value-PH').element.value).toBe('-1')
  })
})
