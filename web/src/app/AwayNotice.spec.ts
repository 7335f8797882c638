import { useQuery } from '@tanstack/vue-query'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { mountView, refusal, settled, stubServer, type Answers } from '@/testing/mounting'
import { api, body } from '@/shared/api/client'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import AwayNotice from './AwayNotice.vue'

const DOWN = refusal(503, { code: 'database-away', detail: 'Chervil cannot reach its records just now.' })
const TANKS = [{ id: 4, tank: { name: 'Eelgrass bed' } }]

/** A view with its frame, that asks for tanks. */
const page = defineComponent(() => {
  const tanks = useQuery({ queryKey: ['tanks'], queryFn: () => body(api.GET('/api/tanks')) })
  return () => [
    h(AwayNotice),
    h(
      AsyncState,
      { pending: tanks.isPending.value, error: lacking(tanks), what: 'the tanks', onRetry: tanks.refetch },
      () => [
        h(
          'ul',
          tanks.data.value?.map((tank) => h('li', tank.tank.name)),
        ),
        h('button', { id: 'anew', onClick: () => tanks.refetch() }),
      ],
    ),
  ]
})

async function later(ms: number) {
  await vi.advanceTimersByTimeAsync(ms)
  await settled()
}

describe('while the server is away', () => {
  let answers: Answers
  beforeEach(() => {
    vi.useFakeTimers({ now: new Date('2026-11-29T18:30:00'), toFake: ['setTimeout', 'setInterval', 'Date'] })
    answers = { 'GET /api/tanks': TANKS }
    stubServer(answers)
  })
  afterEach(() => vi.useRealTimers())

  it('what was shown stays, with since when, until it answers again', async () => {
    const { wrapper } = await mountView(page)
    expect(wrapper.find('[role=status]').exists()).toBe(false)

    await later(60_000)
    answers['GET /api/tanks'] = DOWN
    await wrapper.get('#anew').trigger('click')
    await settled()

    expect(wrapper.text()).toContain('Eelgrass bed')
    expect(wrapper.get('[role=status]').text()).toMatch(/as it knew it on 29 Nov 2026, 18:30/)
    expect(wrapper.find('[role=alert]').exists()).toBe(false)

    answers['GET /api/tanks'] = [{ id: 4, tank: { name: 'Mangrove edge' } }]
    await later(5_100)

    expect(wrapper.text()).toContain('Mangrove edge')
    expect(wrapper.find('[role=status]').exists()).toBe(false)
  })

  it('what never came says why, and comes by itself', async () => {
    answers['GET /api/tanks'] = DOWN
    const { wrapper } = await mountView(page)
    expect(wrapper.get('[role=alert]').text()).toContain('Could not load the tanks.')
    expect(wrapper.find('[role=status]').exists()).toBe(false)

    answers['GET /api/tanks'] = TANKS
    await later(5_100)

    expect(wrapper.text()).toContain('Eelgrass bed')
    expect(wrapper.find('[role=alert]').exists()).toBe(false)
  })

  it('what was refused takes the place of what was shown, and is not asked for again', async () => {
    const { wrapper } = await mountView(page)
    answers['GET /api/tanks'] = refusal(403, {
      code: 'not-allowed',
      detail: 'Only people of the site see this.',
    })
    await wrapper.get('#anew').trigger('click')
    await settled()
    expect(wrapper.get('[role=alert]').text()).toContain('Only people of the site see this.')

    answers['GET /api/tanks'] = TANKS
    await later(20_000)

    expect(wrapper.text()).not.toContain('Eelgrass bed')
  })
})
