import { describe, expect, it, vi } from 'vitest'
import { mountView, refusal, settled, stubServer } from '@/testing/mounting'
import DoorView from './DoorView.vue'

const STRANGER = { needsSetup: false, demoAccounts: [] }

describe('the door', () => {
  it('offers the invented accounts by button, in the demo alone', async () => {
    const demoAccounts = [{ login: 'marit', name: 'Marit', role: 'KEEPER' }]
    const asked = stubServer({
      'GET /api/session': { ...STRANGER, demoAccounts },
      'POST /api/demo-session/marit': 204,
    })

    const { wrapper } = await mountView(DoorView)
    await wrapper.get('button').trigger('click')
    await settled()

    expect(wrapper.find('form').exists()).toBe(false)
    expect(asked.map(({ call }) => call)).toContain('POST /api/demo-session/marit')
  })

  it('asks the first visitor for the printed code and shows a refusal at its field', async () => {
    const errors = [{ field: 'code', code: 'wrong-code', message: 'That is not the code.' }]
    stubServer({
      'GET /api/session': { ...STRANGER, needsSetup: true },
      'POST /api/setup': refusal(401, { errors }),
    })
    const { wrapper } = await mountView(DoorView)

    await wrapper.get('[data-field="code"] input').setValue('abc')
    await wrapper.get('form').trigger('submit')
    await settled()

    expect(wrapper.get('[data-field="code"] .error').text()).toBe('That is not the code.')
    expect((wrapper.get('[data-field="code"] input').element as HTMLInputElement).value).toBe('abc')
  })

  it('sends a sign-in once, however often the button is pressed', async () => {
    const asked = stubServer({
      'GET /api/session': STRANGER,
      'POST /api/session': { ...STRANGER, name: 'Ines' },
    })
    const { wrapper } = await mountView(DoorView)
    await wrapper.get('[data-field="login"] input').setValue('ines')

    await wrapper.get('form').trigger('submit')
    await wrapper.get('form').trigger('submit')
    await settled()

    expect(asked.filter(({ call }) => call === 'POST /api/session')).toHaveLength(1)
  })

  it('says at the door that a passkey does not open it', async () => {
    const told = (json: unknown) => json
    vi.stubGlobal('isSecureContext', true)
    vi.stubGlobal(
      'PublicKeyCredential',
      Object.assign(() => undefined, {
        parseCreationOptionsFromJSON: told,
        parseRequestOptionsFromJSON: told,
      }),
    )
    const shown = { toJSON: () => ({ id: 'abc' }) }
    Object.defineProperty(navigator, 'credentials', {
      configurable: true,
      value: { get: () => Promise.resolve(shown) },
    })
    const errors = [{ field: 'credential', code: 'not-proven', message: 'This passkey does not open it.' }]
    const asked = stubServer({
      'GET /api/session': STRANGER,
      'POST /api/passkey-options': { challenge: 'x' },
      'POST /api/passkey-session': refusal(401, { errors }),
    })
    const { wrapper } = await mountView(DoorView)

    await wrapper
      .findAll('button')
      .find((button) => button.text() === 'Sign in with a passkey')
      ?.trigger('click')
    await settled()

    expect(asked.at(-1)?.body).toEqual({ credential: { id: 'abc' } })
    expect(wrapper.get('[role=alert]').text()).toBe('This passkey does not open it.')
    vi.unstubAllGlobals()
  })
})
