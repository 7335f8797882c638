import type { VueWrapper } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { mountView, refusal, settled, stubServer } from '@/testing/mounting'
import RulesView from './RulesView.vue'

const FILL = { key: 'buckets.fill', measure: 'SHARE', ours: 2 / 3, least: 0.3, most: 0.95 }

async function rules(rule: Record<string, unknown>, more: Record<string, unknown> = {}) {
  const server = stubServer({ 'GET /api/sum-rules': [rule], ...more })
  const { wrapper } = await mountView(RulesView, {})
  const field = (): HTMLInputElement => wrapper.get('input').element
  return { server, wrapper, field }
}

const goBack = (wrapper: VueWrapper) =>
  wrapper.findAll('button').find((button) => button.text() === 'Go back to ours')

async function type(wrapper: VueWrapper, text: string) {
  const input = wrapper.get('input')
  await input.setValue(text)
  await input.trigger('change')
  await settled()
}

describe('the rules of thumb', () => {
  it('shows a third to three digits, and offers no way back from what is ours', async () => {
    const { wrapper, field } = await rules(FILL)

    expect(field().value).toBe('66.7')
    expect(goBack(wrapper)).toBeUndefined()
  })

  it('shows what the site goes by instead as it was typed, with ours beside it', async () => {
    const { wrapper, field } = await rules({ ...FILL, kept: 0.7125 })

    expect(field().value).toBe('71.25')
    expect(wrapper.text()).toContain('Ours is')
  })

  it('keeps what is typed, as a share', async () => {
    let body: unknown
    const { wrapper } = await rules(FILL, {
      'PUT /api/sum-rules/buckets.fill': (sent: unknown) => {
        body = sent
        return {}
      },
    })

    await type(wrapper, '80')

    expect(body).toEqual({ value: 0.8 })
  })

  it('says at the field that something is no number, and sends nothing', async () => {
    const { wrapper, field } = await rules(FILL)

    await type(wrapper, 'two thirds')

    expect(wrapper.text()).toContain('This is not a number.')
    expect(field().value).toBe('two thirds')
  })

  it('shows a refusal of the server at the field it belongs to', async () => {
    const { wrapper, field } = await rules(FILL, {
      'PUT /api/sum-rules/buckets.fill': refusal(422, {
        errors: [{ field: 'value', code: 'too-large', message: 'At most 95 %.' }],
      }),
    })

    await type(wrapper, '99')

    expect(wrapper.get('.error').text()).toBe('At most 95 %.')
    expect(field().value).toBe('99')
  })
})
