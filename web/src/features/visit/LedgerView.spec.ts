import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { mountView, settled, stubServer } from '@/testing/mounting'
import LedgerView from './LedgerView.vue'
import type { LedgerEntry } from './queries'
import { by } from './telling'

function entry(id: number): LedgerEntry {
  const task = {
    taskId: 1,
    filterId: 1,
    stageId: 1,
    name: 'Change the sock',
    told: 'Sock changed',
    finding: 'HEAVY' as const,
  }
  const service = {
    id: String(id),
    version: 1,
    tankId: 3,
    doneOn: '2026-11-20',
    doneBy: 'Osei',
    minutes: 5,
    note: 'Snails',
    tasks: [task],
    flows: [],
    circumstances: { parts: [] },
    photos: 0,
  }
  return { tankName: 'Rock pool', service }
}

async function open(total: number) {
  const urls: string[] = []
  stubServer({ 'GET /api/tanks': [] })
  const stub = globalThis.fetch
  vi.stubGlobal('fetch', (request: Request) => {
    if (!request.url.includes('/api/services')) return stub(request)
    urls.push(new URL(request.url).search)
    const entries = Array.from({ length: Math.min(total, 50) }, (_, i) => entry(i))
    return Promise.resolve(Response.json({ total, entries }))
  })
  const { wrapper } = await mountView(LedgerView)
  return { wrapper, urls }
}

describe('the ledger', () => {
  beforeEach(() => {
    document.body.innerHTML = ''
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  })
  afterEach(() => {
    vi.useRealTimers()
  })

  it('teaches when it is empty', async () => {
    const { wrapper } = await open(0)

    expect(wrapper.text()).toContain('Nothing logged yet.')
    expect(wrapper.find('.el-pagination').exists()).toBe(false)
  })

  it('tells each service in a line, with who, how long and the note', async () => {
    const { wrapper } = await open(1)

    const line = wrapper.get('tbody tr').text()
    for (const part of ['Rock pool', 'Sock changed, heavy', 'Snails', 'Osei', '5'])
      expect(line).toContain(part)
  })

  it('says who wrote a service down where somebody else did it', () => {
    const { service } = entry(1)

    expect(by(service)).toBe('Osei')
    expect(by({ ...service, writtenDownBy: 'Marit' })).toBe('Osei, written down by Marit')
  })

  it('asks the server for a page at a time', async () => {
    const { wrapper, urls } = await open(120)
    expect(wrapper.get('.el-pagination [role=status]').text()).toBe('1–50 of 120')

    await wrapper.get('.btn-next').trigger('click')
    await settled()

    expect(urls.at(-1)).toContain('skip=50')
    expect(wrapper.get('.el-pagination [role=status]').text()).toBe('51–100 of 120')
  })

  it('searches once the typing has come to rest, from the first page', async () => {
    const { wrapper, urls } = await open(120)
    const before = urls.length
    const input = wrapper.get('[data-field=search] input')
    for (const typed of ['s', 'sn', 'snail']) await input.setValue(typed)
    vi.advanceTimersByTime(249)
    await settled()
    expect(urls).toHaveLength(before)

    vi.advanceTimersByTime(1)
    await settled()

    expect(urls.slice(before)).toEqual(['?search=snail&skip=0&limit=50'])
  })
})
