import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { mountView, stubServer } from '@/testing/mounting'
import BackupAge from './BackupAge.vue'

async function told(backup: unknown) {
  stubServer({ 'GET /api/backup': backup })
  const { wrapper } = await mountView(BackupAge)
  return wrapper
}

describe('the age of the last backup', () => {
  beforeEach(() => {
    vi.useFakeTimers({ toFake: ['Date'], now: new Date('2026-06-03T12:00:00') })
  })
  afterEach(() => {
    vi.useRealTimers()
  })

  it.each([
    ['2026-06-03T03:40:00', 'Backed up today'],
    ['2026-06-02T03:40:00', 'Backed up 1 day ago'],
    ['2026-06-01T03:40:00', 'Backed up 2 days ago'],
  ])('of %s is told quietly', async (madeAt, words) => {
    const wrapper = await told({ nightly: true, madeAt })

    expect(wrapper.text()).toBe(words)
    expect(wrapper.find('.warns').exists()).toBe(false)
  })

  it.each([
    [{ nightly: true, madeAt: '2026-05-31T03:40:00' }, '! Backed up 3 days ago'],
    [
      { nightly: true, madeAt: '2026-06-03T03:40:00', failedAt: '2026-06-03T03:50:00' },
      '! Last backup failed',
    ],
  ])('warns by a mark and a word where it is old or failed', async (backup, words) => {
    const wrapper = await told(backup)

    expect(wrapper.text()).toBe(words)
    expect(wrapper.find('.warns').exists()).toBe(true)
  })

  it('of a server just started is on its way', async () => {
    const wrapper = await told({ nightly: true })

    expect(wrapper.text()).toBe('No backup yet')
    expect(wrapper.find('.warns').exists()).toBe(false)
  })

  it('is not told to those who may not ask', async () => {
    expect((await told(403)).text()).toBe('')
  })
})
