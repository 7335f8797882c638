import { mount, RouterLinkStub } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Visit } from './queries'
import VisitCard from './VisitCard.vue'

const WINDOW = { earliest: '2026-11-20', ideal: '2026-11-22', latest: '2026-11-23' }

function errand(taskId: number, name: string, reach: Visit['errands'][number]['reach']) {
  return {
    taskId,
    name,
    reach,
    filter: { id: 1, name: 'Weir' },
    standing: 'LATE' as const,
    window: WINDOW,
    reasons: ['Found heavy.', 'Held.'],
  }
}

function card(errands: Visit['errands']) {
  const visit: Visit = {
    tank: { id: 3, name: 'Brook bench', room: 'Lab' },
    standing: 'LATE',
    effort: { minutes: 55, daysLate: 2 },
    errands,
    chores: [],
    carry: [],
  }
  return mount(VisitCard, {
    props: { visit, today: '2026-11-25' },
    global: { stubs: { RouterLink: RouterLinkStub } },
  })
}

describe('a visit', () => {
  it('says how late it is, how long it takes and why', () => {
    const text = card([errand(5, 'Rinse the pre-filter', 'FREE')]).text()

    expect(text).toContain('2 days overdue')
    expect(text).toContain('55 min')
    expect(text).toContain('Found heavy.')
  })

  it('tells the work inside a canister under its opening', () => {
    const tasks = card([
      errand(1, 'Open canister Weir', 'OPENING'),
      errand(2, 'Rinse the coarse foam', 'INSIDE'),
    ]).findAll('.task')

    expect(tasks).toHaveLength(1)
    expect(tasks[0]?.text()).toContain('rinse the coarse foam')
  })

  it('hands every task on to the log', () => {
    const link = card([errand(1, 'Open canister Weir', 'OPENING'), errand(2, 'Rinse', 'INSIDE')])
      .findAllComponents(RouterLinkStub)
      .at(-1)

    expect(link?.props('to')).toMatchObject({ name: 'log', query: { tasks: '1,2' } })
  })

  it('keeps for its own day what the plan has for a later visit, and says so', () => {
    const today = { ...errand(1, 'Rinse the pre-filter', 'FREE'), plannedOn: '2026-11-25' }
    const spaced = { ...errand(2, 'Squeeze the sponge', 'FREE'), plannedOn: '2026-12-02' }
    const wrapper = card([today, spaced])

    const [first, second] = wrapper.findAll('.task').map((task) => task.text())
    expect(first).not.toContain('as planned')
    expect(second).toContain('better on 2 Dec')
    expect(wrapper.findAllComponents(RouterLinkStub).at(-1)?.props('to')).toMatchObject({
      query: { tasks: '1' },
    })
  })
})
