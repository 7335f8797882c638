import { describe, expect, it } from 'vitest'
import { mountView, refusal, settled, stubServer } from '@/testing/mounting'
import type { Rounds } from './queries'
import RoundsView from './RoundsView.vue'

const WEEK = Array.from({ length: 7 }, (_, i) => ({
  on: `2026-11-${String(26 + i).padStart(2, '0')}`,
  minutes: 0,
  tanks: 0,
})).slice(0, 5)
const WINDOW = { earliest: '2026-11-20', ideal: '2026-11-24', latest: '2026-11-26' }

function visit(name: string, room: string, carry: [string, number][]): Rounds['visits'][number] {
  return {
    tank: { id: name.length, name, room },
    standing: 'DUE',
    effort: { minutes: 12, daysLate: 0 },
    errands: [
      {
        taskId: 1,
        filter: { id: 1, name: 'Weir' },
        name: 'Rinse the pre-filter',
        reach: 'FREE',
        standing: 'DUE',
        window: WINDOW,
        reasons: ['Found heavy.'],
      },
    ],
    chores: [],
    carry: carry.map(([thing, count]) => ({ thing, count, shared: thing === 'Bucket' })),
  }
}

function rounds(change: Partial<Rounds>): Rounds {
  return {
    today: '2026-11-25',
    tanks: 2,
    visits: [],
    held: [],
    readings: [],
    questions: [],
    looks: [],
    week: WEEK,
    ...change,
  }
}

describe('rounds', () => {
  it('teach the first step where there is no tank', async () => {
    stubServer({ 'GET /api/rounds': rounds({ tanks: 0 }) })

    const { wrapper } = await mountView(RoundsView)

    expect(wrapper.text()).toContain('Add the first tank')
    expect(wrapper.text()).not.toContain('All done')
  })

  it('say when all is done, and what comes next', async () => {
    const week = [{ on: '2026-11-27', minutes: 14, tanks: 1 }]
    stubServer({ 'GET /api/rounds': rounds({ week }) })

    const { wrapper } = await mountView(RoundsView)

    expect(wrapper.text()).toContain('All done for today.')
    expect(wrapper.text()).toContain('Next: Friday 27 November, about 14 minutes.')
  })

  it('group tanks by room and add up minutes and things, buckets once', async () => {
    const visits = [
      visit('Brook', 'Lab', [
        ['Bucket', 1],
        ['Fine pad', 1],
      ]),
      visit('Nook', 'Gallery', [
        ['Bucket', 1],
        ['Fine pad', 2],
      ]),
    ]
    stubServer({ 'GET /api/rounds': rounds({ visits }) })

    const { wrapper } = await mountView(RoundsView)

    expect(wrapper.text()).toContain('Two tanks, about 24 minutes.')
    expect(wrapper.findAll('section[aria-label]').map((room) => room.attributes('aria-label'))).toEqual([
      'Lab',
      'Gallery',
    ])
    expect(wrapper.findAll('.tray li').map((thing) => thing.text())).toEqual(['Bucket', 'Fine pad 3'])
  })

  it('ask again what nobody answered when the first service was logged', async () => {
    const question = {
      filterId: 4,
      filterName: 'Weir',
      asked: 'START' as const,
      text: 'When was Weir last cleaned before 12 Nov?',
      choices: [{ answer: 'UNKNOWN', words: 'Nobody knows' }],
    }
    const asked = stubServer({
      'GET /api/rounds': rounds({ questions: [{ serviceId: 's', question }] }),
      'PUT /api/services/s/answers': { service: { id: 's' }, moved: [], twins: [], questions: [] },
    })
    const { wrapper } = await mountView(RoundsView)

    await wrapper.get('[aria-label="One question"] button').trigger('click')
    await settled()

    expect(asked.find(({ call }) => call.startsWith('PUT'))?.body).toEqual({
      filterId: 4,
      asked: 'START',
      answer: 'UNKNOWN',
    })
    expect(asked.filter(({ call }) => call === 'GET /api/rounds')).toHaveLength(2)
  })

  it('ask for a second look after a set-up, and take the tick back', async () => {
    const look = {
      id: 'l',
      tank: { id: 2, name: 'Brook', room: 'Lab' },
      words: 'Press dry paper round every joint of Weir.',
      dueAt: '2026-11-25T13:00:00Z',
    }
    const answers: Record<string, unknown> = {
      'GET /api/rounds': rounds({ looks: [look] }),
      'PUT /api/follow-ups/l/done': 204,
      'DELETE /api/follow-ups/l/done': 204,
    }
    const asked = stubServer(answers)
    const { wrapper } = await mountView(RoundsView)
    expect(wrapper.text()).toContain('Brook: Press dry paper round every joint of Weir.')
    expect(wrapper.text()).not.toContain('All done')

    answers['GET /api/rounds'] = rounds({})
    await wrapper.get('[aria-labelledby=looks] button').trigger('click')
    await settled()

    expect(wrapper.find('#looks').exists()).toBe(false)
    expect(wrapper.text()).toContain('All done for today.')
    const undo = [...document.querySelectorAll('button')].find((one) => one.textContent.includes('Undo'))
    undo?.click()
    await settled()
    expect(asked.map(({ call }) => call)).toContain('DELETE /api/follow-ups/l/done')
  })

  it('say what failed and try again when asked', async () => {
    const answers: Record<string, unknown> = {
      'GET /api/rounds': refusal(503, { detail: 'The database rests.' }),
    }
    stubServer(answers)
    const { wrapper } = await mountView(RoundsView)
    expect(wrapper.get('[role=alert]').text()).toContain('The database rests.')

    answers['GET /api/rounds'] = rounds({})
    await wrapper.get('[role=alert] button').trigger('click')
    await settled()

    expect(wrapper.text()).toContain('All done for today.')
  })
})
