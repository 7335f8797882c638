import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent } from 'vue'
import { refusal, settled, stubServer, type Answers } from '@/testing/mounting'
import { useGuided } from './guided'

const ID = 'a1'
const EVENTS = `POST /api/guided-services/${ID}/events`
const VIEW = {
  id: ID,
  place: { tankId: 1, tankName: 'Brook', filterId: 2, filterName: 'Weir' },
  steps: [],
  events: [],
  startedAt: '2026-11-25T10:00:00Z',
}

/** Uses the service inside a component, as a view would. */
function open(answers: Answers) {
  const asked = stubServer(answers)
  let guided: ReturnType<typeof useGuided> | undefined
  const host = mount(
    defineComponent({
      setup() {
        guided = useGuided(ID)
        return () => null
      },
    }),
  )
  if (!guided) throw new Error('not set up')
  const sent = () =>
    asked.map(({ body }) => (body as { events: { step: string }[] }).events.map((event) => event.step))
  return { guided, host, sent }
}

describe('a service in progress', () => {
  beforeEach(() => {
    localStorage.clear()
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] })
  })
  afterEach(() => {
    vi.useRealTimers()
  })

  it('ends with nothing waiting, also when the last tick fell into an exchange under way', async () => {
    const { guided, sent } = open({ [EVENTS]: VIEW })
    guided.record('DONE', 'gloves:filter')

    await guided.flush()

    expect(sent().flat()).toEqual(['gloves:filter'])
    expect(guided.waiting.value).toBe(0)
  })

  it('keeps ticks while the server cannot be reached and sends them in order when it is back', async () => {
    const answers: Answers = { [EVENTS]: 503 }
    const { guided, sent } = open(answers)
    guided.record('DONE', 'gloves:filter')
    guided.record('DONE', 'stop:filter')
    await settled()
    expect(guided.waiting.value).toBe(2)
    expect(guided.reachable.value).toBe(false)

    answers[EVENTS] = VIEW
    vi.advanceTimersByTime(3000)
    await settled()

    expect(sent().at(-1)).toEqual(['gloves:filter', 'stop:filter'])
    expect(guided.waiting.value).toBe(0)
    expect(guided.reachable.value).toBe(true)
  })

  it('goes on after a reload with what was not sent yet, under the same ids', async () => {
    const first = open({ [EVENTS]: 503 })
    first.guided.record('DONE', 'gloves:filter')
    await settled()
    const kept = localStorage.getItem(`chervil.guided.${ID}`)
    first.host.unmount()

    const second = open({ [EVENTS]: VIEW })
    await settled()

    expect(kept).toContain('gloves:filter')
    expect(second.sent().flat()).toEqual(['gloves:filter'])
  })

  it('tells a refusal apart from a lost connection, and loses nothing', async () => {
    const { guided } = open({ [EVENTS]: refusal(404, { detail: 'No such guided service on this site.' }) })
    guided.record('DONE', 'gloves:filter')
    await settled()

    expect(guided.reachable.value).toBe(true)
    expect(String(guided.failure.value)).toContain('No such guided service')
    expect(guided.waiting.value).toBe(1)
  })

  it('keeps what was ticked after another device had ended it, and sends it no more', async () => {
    const answers: Answers = { [EVENTS]: VIEW }
    const { guided, sent } = open(answers)
    await settled()
    answers[EVENTS] = (body: unknown) =>
      (body as { events: unknown[] }).events.length > 0
        ? refusal(409, { code: 'ended', detail: 'It is in the log already.' })
        : { ...VIEW, finishedAt: '2026-11-25T11:00:00Z' }
    guided.record('DONE', 'start:filter')
    await settled()

    expect(guided.view.value?.finishedAt).toBe('2026-11-25T11:00:00Z')
    expect(guided.late.value.map((event) => event.step)).toEqual(['start:filter'])
    const before = sent().length
    vi.advanceTimersByTime(30_000)
    await settled()
    expect(sent()).toHaveLength(before)

    globalThis.dispatchEvent(new Event('online'))
    await guided.flush()
    expect(sent()).toHaveLength(before)
    expect(guided.late.value.map((event) => event.step)).toEqual(['start:filter'])

    guided.forget()
    expect(guided.late.value).toEqual([])
  })

  it('stops asking once it is forgotten', async () => {
    const { guided, sent } = open({ [EVENTS]: VIEW })
    await settled()
    guided.forget()
    const before = sent().length

    vi.advanceTimersByTime(30_000)
    await settled()

    expect(sent()).toHaveLength(before)
    expect(localStorage.getItem(`chervil.guided.${ID}`)).toBeNull()
  })
})
