import { describe, expect, it } from 'vitest'
import { mountView, settled, stubServer } from '@/testing/mounting'
import PlanNews from './PlanNews.vue'
import type { Plan } from './queries'

const QUIET = {
  timeAssumed: false,
  improving: false,
  troubles: [],
  waiting: [],
  closures: [],
  changes: [],
}

async function open(more: Record<string, unknown> = {}) {
  stubServer({})
  const { wrapper } = await mountView(PlanNews, { plan: { ...QUIET, ...more } as unknown as Plan })
  return wrapper
}

const trouble = (n: number) => ({ words: `Day ${String(n)} is too full.`, risk: '' })

describe('what is to be said of a plan', () => {
  it('is that nothing is wrong and nothing changed, where that is so', async () => {
    const news = await open()

    expect(news.text()).toContain('No problems. Every day has room and nothing is overdue.')
    expect(news.text()).toContain('Nothing has changed since the plan was made.')
    expect(news.find('[role=status]').exists()).toBe(false)
  })

  it('is what cannot be had, a few at first and all on demand', async () => {
    const news = await open({ troubles: [1, 2, 3, 4, 5, 6].map(trouble) })
    expect(news.findAll('.trouble')).toHaveLength(4)
    expect(news.text()).not.toContain('No problems')

    await news.get('button').trigger('click')
    await settled()

    expect(news.findAll('.trouble')).toHaveLength(6)
    expect(news.get('button').text()).toBe('Show fewer')
  })

  it('is what waits, and what clears it', async () => {
    const news = await open({
      waiting: [
        {
          tankId: 2,
          tank: 'Brook',
          name: 'Open canister',
          filter: 'Weir',
          hold: { clears: 'Ammonia read as 0.' },
        },
      ],
    })

    expect(news.text()).toContain('Brook: open canister. Ammonia read as 0.')
  })

  it('is what moved and why, and what was left out', async () => {
    const move = (name: string, from?: string, to?: string) => ({ tank: 'Brook', name, from, to })
    const news = await open({
      changes: [
        {
          at: '2026-06-01T08:00:00Z',
          causes: ['work logged on Brook', 'people’s days changed'],
          moves: [
            move('rinse the pre-filter', '2026-06-03', '2026-06-05'),
            move('dip bio media', '2026-06-04'),
            move('replace the pad', undefined, '2026-06-06'),
          ],
        },
      ],
    })

    expect(news.get('.change summary').text()).toBe(
      '1 Jun: 2 jobs moved, 1 job left out (work logged on Brook, people’s days changed)',
    )
    expect(news.findAll('.change li').map((row) => row.text())).toEqual([
      'Brook: rinse the pre-filter, Wed 3 Jun to Fri 5 Jun',
      'Brook: dip bio media, was Thu 4 Jun',
      'Brook: replace the pad, new to Sat 6 Jun',
    ])
  })

  it('is which days nobody is there, and what is done around them', async () => {
    const one = (name: string, on: string) => ({ tank: 'Brook', name, on, ideal: '2026-06-10' })
    const news = await open({
      closures: [
        {
          firstDay: '2026-06-08',
          lastDay: '2026-06-14',
          before: [one('Rinse the pre-filter', '2026-06-06')],
          after: [one('Dip bio media', '2026-06-15'), one('Replace the pad', '2026-06-16')],
        },
      ],
    })

    expect(news.text()).toContain('Nobody from 8 Jun to 14 Jun')
    expect(news.get('summary').text()).toBe('1 done before, 2 wait')
    expect(news.findAll('details li')).toHaveLength(3)
  })

  it('is that people’s hours are only assumed, and that a better plan is looked for', async () => {
    const news = await open({ timeAssumed: true, improving: true })

    expect(news.text()).toContain('Set your hours')
    expect(news.get('[role=status]').text()).toContain('better plan')
  })
})
