import { describe, expect, it } from 'vitest'
import { mountView, settled, stubServer } from '@/testing/mounting'
import { mayGo } from './router'
import SiteNotice from './SiteNotice.vue'

const session = (role: 'KEEPER' | 'HELPER' | 'VIEWER', deletedAt?: string) => ({
  name: 'Ada',
  siteName: 'Tern House',
  role,
  needsSetup: false,
  demoAccounts: [],
  places: [{ siteId: 7, name: 'Tern House', role, here: true, deletedAt }],
})

describe('the notice above every page', () => {
  it('says until when a deleted site can be brought back, and brings it back', async () => {
    const asked = stubServer({
      'GET /api/session': session('KEEPER', '2026-06-01T12:00:00Z'),
      'POST /api/own/sites/7/return': 204,
    })
    const { wrapper } = await mountView(SiteNotice)

    expect(wrapper.text()).toContain('1 July')
    await wrapper.get('button').trigger('click')
    await settled()

    expect(asked.map(({ call }) => call)).toContain('POST /api/own/sites/7/return')
  })

  it('tells a viewer that nothing can be changed, and others nothing', async () => {
    stubServer({ 'GET /api/session': session('VIEWER') })
    expect((await mountView(SiteNotice)).wrapper.text()).toContain('You are a viewer here')

    localStorage.clear()
    stubServer({ 'GET /api/session': session('HELPER') })
    expect((await mountView(SiteNotice)).wrapper.text()).toBe('')
  })
})

describe('a page', () => {
  it.each([
    ['KEEPER', undefined, true],
    ['KEEPER', 'KEEPER', true],
    ['HELPER', 'HELPER', true],
    ['HELPER', 'KEEPER', false],
    ['VIEWER', 'HELPER', false],
    ['VIEWER', undefined, true],
  ] as const)('for a %s that needs %s opens: %s', (role, needs, opens) => {
    expect(mayGo(session(role), needs)).toBe(opens)
  })
})
