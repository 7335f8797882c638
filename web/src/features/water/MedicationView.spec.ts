import { describe, expect, it } from 'vitest'
import { mountView, refusal, settled, stubServer } from '@/testing/mounting'
import MedicationView from './MedicationView.vue'

async function open(begun: () => unknown) {
  const asked = stubServer({
    'GET /api/tanks/3': { id: 3, version: 1, tank: { name: 'Brook', setting: { animals: ['SHRIMP'] } } },
    'GET /api/tanks/3/medications': [],
    'POST /api/tanks/3/medications': begun,
  })
  const { wrapper } = await mountView(MedicationView, { tank: 3 })
  await settled()
  await wrapper.get('[data-field=product] input').setValue('Salve')
  await wrapper.get('form').trigger('submit')
  await settled()
  const sent = () => asked.filter(({ call }) => call.startsWith('POST')).map(({ body }) => body)
  return { wrapper, sent }
}

const errors = [{ field: 'product', code: 'asked', message: 'Shrimp live here. Is it safe for shrimp?' }]

describe('a medication', () => {
  it('is asked about where it can kill, keeps what was typed, and begins once somebody stands by it', async () => {
    let times = 0
    const { wrapper, sent } = await open(() => (times++ ? [] : refusal(422, { errors })))
    expect(wrapper.get('[data-field=product]').text()).toContain('Is it safe for shrimp?')
    expect(wrapper.get<HTMLInputElement>('[data-field=product] input').element.value).toBe('Salve')

    await wrapper
      .findAll('.el-button')
      .find((button) => button.text() === 'It is safe for them, begin')
      ?.trigger('click')
    await settled()

    expect(sent()).toMatchObject([
      { product: 'Salve', confirmed: false },
      { product: 'Salve', confirmed: true },
    ])
    expect(wrapper.get<HTMLInputElement>('[data-field=product] input').element.value).toBe('')
  })

  it('is not asked about where nothing speaks against it', async () => {
    const { wrapper, sent } = await open(() => [])

    expect(sent()).toHaveLength(1)
    expect(wrapper.text()).not.toContain('safe for them')
  })
})
