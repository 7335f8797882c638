import { describe, expect, it } from 'vitest'
import { mountView, refusal, settled, stubServer, type Answers } from '@/testing/mounting'
import OwnView from './OwnView.vue'
import PeopleView from './PeopleView.vue'
import RecoverView from './RecoverView.vue'

const ADA = { id: 1, login: 'ada', name: 'Ada', role: 'KEEPER' }
const BEN = { id: 2, login: 'ben', name: 'Ben', role: 'HELPER' }
const HOME = { siteId: 7, name: 'Tern House', role: 'KEEPER', here: true }
const CLUB = { siteId: 8, name: 'Club tanks', role: 'HELPER', here: false }
const session = (role: string) => ({
  name: 'Ada',
  siteName: 'Tern House',
  role,
  needsSetup: false,
  demoAccounts: [],
  places: [HOME, CLUB],
})
const site = (answers: Answers = {}, role = 'KEEPER') =>
  stubServer({
    'GET /api/session': session(role),
    'GET /api/accounts': [ADA, BEN],
    'GET /api/invitations': [],
    'GET /api/own/passkeys': [],
    'GET /api/own/sessions': [],
    ...answers,
  })
/** Words for readers alone stand apart by a style, not by a space. */
const bare = (words: string) => words.replace(/\s/g, '')
const press = async (words: string) => {
  const found = [...document.querySelectorAll('button')].find((one) =>
    bare(one.textContent).includes(bare(words)),
  )
  if (!found) throw new Error(`no button says ${words}`)
  found.click()
  await settled()
}

describe('the people of a site', () => {
  it('are read by helpers, without a way to change them', async () => {
    site({}, 'HELPER')

    const { wrapper } = await mountView(PeopleView)

    expect(wrapper.text()).toContain('signs in as ben')
    expect(wrapper.findAll('.people li')).toHaveLength(2)
    expect(wrapper.findAll('button')).toHaveLength(0)
  })

  it('join by a link that is shown once', async () => {
    const asked = site({
      'POST /api/invitations': {
        ...BEN,
        mark: 'm',
        note: 'Lin',
        madeBy: 'Ada',
        expiresAt: '2026-06-08T10:00:00Z',
        code: 'abcde',
      },
    })
    const { wrapper } = await mountView(PeopleView)

    await wrapper.get('[data-field="note"] input').setValue('Lin')
    await wrapper.get('form').trigger('submit')
    await settled()

    expect(asked.find(({ call }) => call === 'POST /api/invitations')?.body).toEqual({
      role: 'HELPER',
      note: 'Lin',
    })
    expect(wrapper.get('.link').text()).toBe(`${location.origin}/join#abcde`)
  })

  it('get a code for a new password only after the keeper said yes', async () => {
    const asked = site({
      'POST /api/accounts/2/recovery': {
        code: 'abcdefghjkmnpqrstuvw',
        login: 'ben',
        expiresAt: '2026-06-02T10:00:00Z',
      },
    })
    await mountView(PeopleView)

    await press('New password for Ben')
    expect(asked.map(({ call }) => call)).not.toContain('POST /api/accounts/2/recovery')
    await press('Make a code')

    expect(document.querySelector('.code')?.textContent).toBe('abcde-fghjk-mnpqr-stuvw')
  })

  it('stay when the last keeper would go, and it is said why', async () => {
    site({ 'DELETE /api/accounts/1': refusal(422, { detail: 'A site needs a keeper.' }) })
    const { wrapper } = await mountView(PeopleView)

    await press('Remove Ada')
    ;[...document.querySelectorAll<HTMLElement>('.el-dialog button')]
      .find((one) => one.textContent.trim() === 'Remove')
      ?.click()
    await settled()

    expect(wrapper.findAll('.people li')).toHaveLength(2)
    expect(wrapper.get('.trouble').text()).toBe('A site needs a keeper.')
  })
})

describe('one’s own page', () => {
  it('ends a session elsewhere and not the one that asks', async () => {
    const at = { address: '192.0.2.7', begunAt: '2026-06-01T08:00:00Z', lastUsedAt: '2026-06-01T09:00:00Z' }
    const asked = site({
      'GET /api/own/passkeys': [],
      'GET /api/own/sessions': [
        { ...at, mark: 'aa', device: 'a computer', here: true },
        { ...at, mark: 'bb', device: 'a phone', here: false },
      ],
      'DELETE /api/own/sessions/bb': 204,
    })
    const { wrapper } = await mountView(OwnView)

    expect(wrapper.findAll('.sessions button')).toHaveLength(1)
    await press('End it')

    expect(asked.map(({ call }) => call)).toContain('DELETE /api/own/sessions/bb')
  })

  it('says at its field that the present password is wrong, and keeps what was typed', async () => {
    const errors = [
      { field: 'present', code: 'wrong-password', message: 'That is not your present password.' },
    ]
    site({ 'PUT /api/own/password': refusal(422, { errors }) })
    const { wrapper } = await mountView(OwnView)

    await wrapper.get('[data-field="wanted"] input').setValue('reed mossy kettle')
    await wrapper.get('form').trigger('submit')
    await settled()

    expect(wrapper.get('[data-field="present"] .error').text()).toBe('That is not your present password.')
    expect((wrapper.get('[data-field="wanted"] input').element as HTMLInputElement).value).toBe(
      'reed mossy kettle',
    )
  })

  it('goes over to another site', async () => {
    const asked = site({ 'PUT /api/session/site': session('HELPER') })
    await mountView(OwnView)

    await press('Go there')

    expect(asked.find(({ call }) => call === 'PUT /api/session/site')?.body).toEqual({ siteId: 8 })
  })

  it('deletes a site only by its name', async () => {
    const asked = site({ 'POST /api/site/deletion': 204 })
    await mountView(OwnView)

    await press('Delete Tern House')
    const typed = document.querySelector<HTMLInputElement>('[data-field="name"] input')
    if (!typed) throw new Error('nothing to type in')
    typed.value = 'Tern House'
    typed.dispatchEvent(new Event('input'))
    document.querySelector('#site-form')?.dispatchEvent(new Event('submit'))
    await settled()

    expect(asked.find(({ call }) => call === 'POST /api/site/deletion')?.body).toEqual({ name: 'Tern House' })
  })
})

describe('a forgotten password', () => {
  it('is chosen anew by a code, and what is wrong with it is said at its field', async () => {
    document.body.innerHTML = ''
    const errors = [{ field: 'code', code: 'no-such-code', message: 'This code was used.' }]
    site({ 'POST /api/recovery': refusal(401, { errors, code: 'no-such-code' }) })
    const { wrapper } = await mountView(RecoverView)

    await wrapper.get('[data-field="code"] input').setValue('abcde')
    await wrapper.get('form').trigger('submit')
    await settled()

    expect(wrapper.get('[data-field="code"] .error').text()).toBe('This code was used.')
  })
})
