import { beforeEach, describe, expect, it } from 'vitest'
import { mountView, refusal, settled, stubServer, type Answers } from '@/testing/mounting'
import JoinView from './JoinView.vue'

const OFFER = { siteName: 'Tern House', role: 'VIEWER', madeBy: 'Ada' }
const STRANGER = { needsSetup: false, demoAccounts: [], places: [] }
const invited = (answers: Answers = {}) =>
  stubServer({ 'GET /api/session': STRANGER, 'POST /api/invitation-look': OFFER, ...answers })

describe('an invitation', () => {
  beforeEach(() => {
    document.body.innerHTML = ''
    localStorage.clear()
    location.hash = '#abcde'
  })

  it('says where it leads before anybody types anything, and sends its code in no address', async () => {
    const asked = invited()

    const { wrapper } = await mountView(JoinView)

    expect(wrapper.get('h1').text()).toBe('Join Tern House')
    expect(wrapper.text()).toContain('Ada invites you as viewer.')
    expect(asked.find(({ call }) => call === 'POST /api/invitation-look')?.body).toEqual({ code: 'abcde' })
  })

  it('shows a refusal at the field of the new person', async () => {
    const errors = [{ field: 'person.login', code: 'login-taken', message: 'This name is taken.' }]
    invited({ 'POST /api/joining': refusal(422, { errors }) })
    const { wrapper } = await mountView(JoinView)

    await wrapper.get('[data-field="person.login"] input').setValue('ada')
    await wrapper.get('form').trigger('submit')
    await settled()

    expect(wrapper.get('[data-field="person.login"] .error').text()).toBe('This name is taken.')
  })

  it('is accepted by who is signed in without typing', async () => {
    const asked = invited({
      'GET /api/session': { ...STRANGER, name: 'Ben', role: 'HELPER' },
      'POST /api/joining': { ...STRANGER, name: 'Ben' },
    })
    const { wrapper } = await mountView(JoinView)

    await wrapper.get('button').trigger('click')
    await settled()

    expect(asked.find(({ call }) => call === 'POST /api/joining')?.body).toEqual({ code: 'abcde' })
  })

  it('that was used says so', async () => {
    invited({
      'POST /api/invitation-look': refusal(401, {
        detail: 'This code was used, is over, or was never made.',
      }),
    })

    const { wrapper } = await mountView(JoinView)

    expect(wrapper.text()).toContain('This code was used')
  })
})
