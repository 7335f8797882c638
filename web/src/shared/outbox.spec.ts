import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent } from 'vue'
import { settled } from '@/testing/mounting'
import { happening, useOutbox } from './outbox'
import { Problem } from './problem'

const PLACE = 'chervil.test.box'

interface Said {
  id: string
  happenedAt: string
  word: string
}
interface Talk {
  events: Said[]
  title?: string
}

/** A talk whose server takes events in, refuses them or is away, as told. */
function open(whole?: (talk: Talk) => Talk) {
  const server = { said: [] as Said[], refusing: undefined as Problem | undefined, asked: 0 }
  const exchange = (events: Said[]) => {
    server.asked += 1
    if (server.refusing) return Promise.reject(server.refusing)
    server.said.push(...events)
    return Promise.resolve({ events: [...server.said] })
  }
  let box: ReturnType<typeof useOutbox<Talk, Said>> | undefined
  const host = mount(
    defineComponent({
      setup() {
        box = useOutbox<Talk, Said>({ place: PLACE, everyMs: 1000, exchange, whole })
        return () => null
      },
    }),
  )
  if (!box) throw new Error('not set up')
  const kept = box
  const say = (word: string) => {
    kept.record({ ...happening(), word })
  }
  return { box: kept, host, server, say }
}

const words = (events: Said[]) => events.map(({ word }) => word)
const refusal = new Problem(422, 'unknown', 'No such word.')

describe('what several people do together', () => {
  beforeEach(() => {
    localStorage.clear()
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] })
  })
  afterEach(() => {
    vi.useRealTimers()
  })

  it('is in this browser before it is sent', async () => {
    const { box, say, server } = open()
    await settled()
    server.refusing = Problem.unreachable()
    say('one')

    expect(localStorage.getItem(PLACE)).toContain('"word":"one"')
    await settled()
    expect(box.reachable.value).toBe(false)
    expect(words(box.events.value)).toEqual(['one'])
  })

  it('is sent when the connection is back, without waiting for the next round', async () => {
    const { box, say, server } = open()
    server.refusing = Problem.unreachable()
    say('one')
    await settled()

    server.refusing = undefined
    globalThis.dispatchEvent(new Event('online'))
    await settled()

    expect(words(server.said)).toEqual(['one'])
    expect(box.waiting.value).toBe(0)
  })

  it('is not sent again by itself once it was refused, for the answer would be the same', async () => {
    const { box, say, server } = open()
    await settled()
    server.refusing = refusal
    say('one')
    await settled()
    const asked = server.asked

    vi.advanceTimersByTime(30_000)
    await settled()

    expect(server.asked).toBe(asked)
    expect(box.failure.value).toBe(refusal)
    expect(words(box.outbox.value)).toEqual(['one'])
  })

  it('goes on without what was refused, once that is dropped', async () => {
    const { box, say, server } = open()
    await settled()
    server.refusing = refusal
    say('one')
    await settled()
    server.refusing = undefined

    box.drop()
    say('two')
    await box.flush()

    expect(words(server.said)).toEqual(['two'])
    expect(box.failure.value).toBeUndefined()
  })

  it('leaves nothing here once it is forgotten, also when an exchange was under way', async () => {
    const { box, say } = open()
    say('one')
    box.forget()
    await settled()

    expect(localStorage.getItem(PLACE)).toBeNull()
  })

  it('begins anew where what was kept cannot be read', async () => {
    localStorage.setItem(PLACE, '{"outbox": [')
    const { box, say, server } = open()
    say('one')
    await box.flush()

    expect(words(server.said)).toEqual(['one'])
    expect(box.waiting.value).toBe(0)
  })

  it('fills up a view that an earlier version kept', () => {
    localStorage.setItem(PLACE, JSON.stringify({ view: { events: [] }, outbox: [] }))
    const { box } = open((talk) => ({ title: 'No title', ...talk }))

    expect(box.view.value?.title).toBe('No title')
  })
})
