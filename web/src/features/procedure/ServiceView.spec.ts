import { describe, expect, it } from 'vitest'
import { mountView, refusal, settled, stubServer, type Answers } from '@/testing/mounting'
import type { GuidedEvent, Step } from './queries'
import ServiceView from './ServiceView.vue'

const ID = 'a1'
const PATH = `/api/guided-services/${ID}`

function step(id: string, more: Partial<Step> = {}): Step {
  return { id, text: `Do ${id}`, reason: '', cautions: [], materials: [], effects: [], ...more }
}

const STEPS = [
  step('stop', { effects: ['POWER_OFF'], cautions: ['Unplug before hands go in.'] }),
  step('out', { captures: 'FINDING', stageName: 'coarse foam' }),
  step('start', { effects: ['POWER_ON'] }),
]

/** A server that keeps what it is sent, as the real one does. */
async function open(more: Answers = {}) {
  const kept: GuidedEvent[] = []
  const answer = (body: unknown) => {
    kept.push(...(body as { events: GuidedEvent[] }).events)
    return {
      id: ID,
      place: { tankId: 1, tankName: 'Brook bench', filterId: 2, filterName: 'Weir' },
      steps: STEPS,
      then: [],
      events: [...kept],
      startedAt: '2026-11-25T10:00:00Z',
    }
  }
  stubServer({
    'GET /api/tanks/1/filters': [],
    [`GET /api/services/${ID}/photos`]: [],
    'GET /api/filters/2/photos': [],
    [`POST ${PATH}/events`]: answer,
    ...more,
  })
  const { wrapper } = await mountView(ServiceView, { service: ID })
  const key = async (pressed: string) => {
    document.dispatchEvent(new KeyboardEvent('keydown', { key: pressed, bubbles: true }))
    await settled()
  }
  return { wrapper, happened: () => kept, key }
}

describe('the service view', () => {
  it('shows one step large with its caution, and the next two small', async () => {
    const { wrapper } = await open()

    expect(wrapper.get('.now').text()).toBe('Do stop')
    expect(wrapper.get('.caution').text()).toBe('Unplug before hands go in.')
    expect(wrapper.findAll('.next').map((next) => next.text())).toEqual(['Next Do out', 'Do start'])
  })

  it('runs the filter-off clock from the stop on', async () => {
    const { wrapper, key } = await open()
    expect(wrapper.find('.clock').exists()).toBe(false)

    await key(' ')

    expect(wrapper.get('.now').text()).toBe('Do out')
    expect(wrapper.get('.clock').text()).toContain('Filter off')
  })

  it('grades by the keys 1 to 5 where a stage is opened, and names it', async () => {
    const { wrapper, key, happened } = await open()
    await key('4')
    expect(happened()).toEqual([])
    await key(' ')

    await key('4')

    expect(wrapper.text()).toContain('How did the coarse foam look')
    expect(happened().at(-1)).toMatchObject({ kind: 'FINDING', step: 'out', value: 'HEAVY' })
  })

  it('goes back by key', async () => {
    const { wrapper, key } = await open()
    await key(' ')

    await key('b')

    expect(wrapper.get('.now').text()).toBe('Do stop')
  })

  it('skips only with a reason', async () => {
    const { wrapper, key, happened } = await open()
    await key('s')
    const form = document.querySelector<HTMLFormElement>('[role=dialog] form')
    form?.dispatchEvent(new Event('submit', { cancelable: true }))
    await settled()
    expect(form?.textContent).toContain('Give a short reason.')

    const reason = form?.querySelector('input')
    if (reason) reason.value = 'No plug in reach'
    reason?.dispatchEvent(new Event('input'))
    form?.dispatchEvent(new Event('submit', { cancelable: true }))
    await settled()

    expect(happened().at(-1)).toMatchObject({ kind: 'SKIPPED', step: 'stop', value: 'No plug in reach' })
    expect(wrapper.get('.now').text()).toBe('Do out')
  })

  it('asks why before it ends with the filter off, and shows the refusal at its field', async () => {
    const errors = [
      { field: 'leftOffReason', code: 'pump-not-confirmed', message: 'The filter is still off.' },
    ]
    const { wrapper, key } = await open({ [`POST ${PATH}/finish`]: refusal(422, { errors }) })
    await key(' ')
    await wrapper
      .findAll('.dock button')
      .find((button) => button.text() === 'End…')
      ?.trigger('click')
    expect(wrapper.text()).toContain('End before the last step?')

    await wrapper.get('form').trigger('submit')
    await settled()

    expect(wrapper.get('[data-field=leftOffReason] .error').text()).toBe('The filter is still off.')
  })

  it('shows what was ticked after another device had ended it, and where it can be put right', async () => {
    const ended = {
      id: ID,
      place: { tankId: 1, tankName: 'Brook bench', filterId: 2, filterName: 'Weir' },
      steps: STEPS,
      then: [],
      events: [],
      startedAt: '2026-11-25T10:00:00Z',
      finishedAt: '2026-11-25T10:30:00Z',
    }
    let over = false
    const { wrapper, key } = await open({
      [`POST ${PATH}/events`]: (body: unknown) => {
        const sent = (body as { events: GuidedEvent[] }).events
        if (sent.length > 0) over = true
        if (sent.length > 0) return refusal(409, { code: 'ended', detail: 'It is in the log already.' })
        return over ? ended : { ...ended, finishedAt: undefined }
      },
    })

    await key(' ')

    expect(wrapper.text()).toContain('These ticks of yours aren’t in its log')
    expect(wrapper.findAll('.end li').map((row) => row.text())).toEqual(['Do stop'])
    await wrapper
      .findAll('button')
      .find((button) => button.text() === 'Discard these ticks')
      ?.trigger('click')
    await settled()
    expect(wrapper.text()).not.toContain('What you ticked here')
  })
})
