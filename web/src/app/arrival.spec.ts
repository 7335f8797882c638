import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import { useArrival } from './arrival'

const empty = { render: () => null }

function routerWith(arrives: () => boolean) {
  return createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/', component: empty },
      {
        path: '/far',
        component: () => (arrives() ? Promise.resolve(empty) : Promise.reject(new Error('weak'))),
      },
    ],
  })
}

describe('a view whose file does not arrive', () => {
  const reload = vi.fn()
  let asked = 0

  beforeEach(() => {
    asked = 0
    history.replaceState({}, '')
    vi.stubGlobal('location', { reload })
  })
  afterEach(() => {
    vi.unstubAllGlobals()
    reload.mockClear()
    history.replaceState({}, '')
  })

  async function goFar(arrives: (time: number) => boolean) {
    const router = routerWith(() => arrives(++asked))
    const missed = useArrival(router)
    await router.push('/far').catch(() => undefined)
    await flushPromises()
    return { router, missed }
  }

  it('is loaded anew, without a word', async () => {
    const { missed } = await goFar(() => false)

    expect(reload).toHaveBeenCalledOnce()
    expect(missed.value).toBeNull()
  })

  it('is said to be missing once it did not arrive a second time, and not loaded for ever', async () => {
    await goFar(() => false)
    const { missed } = await goFar(() => false)

    expect(reload).toHaveBeenCalledOnce()
    expect(missed.value?.code).toBe('unreachable')
  })

  it('is forgotten as soon as somebody gets elsewhere', async () => {
    await goFar(() => false)
    const { router, missed } = await goFar(() => false)

    await router.push('/')

    expect(missed.value).toBeNull()
  })

  it('says nothing of views that arrive', async () => {
    const { missed } = await goFar(() => true)

    expect(reload).not.toHaveBeenCalled()
    expect(missed.value).toBeNull()
  })
})
