import { describe, expect, it } from 'vitest'
import { choose, mountView, refusal, settled, stubServer, type Answers } from '@/testing/mounting'
import PlanView from './PlanView.vue'

const WINDOW = { earliest: '2026-06-02', ideal: '2026-06-03', latest: '2026-06-05' }
const task = (chain: number, name: string) => ({
  chain,
  taskId: chain,
  name,
  minutes: 5,
  window: WINDOW,
  daysLate: 0,
  pinned: false,
  spaced: false,
})
const VISIT = {
  id: 'v1',
  on: '2026-06-03',
  tank: 'Brook bench',
  tankId: 2,
  minutes: 20,
  person: 'Marit',
  tasks: [task(1, 'Open canister Weir'), task(2, 'Water change')],
  carry: [],
}
const PLAN = {
  today: '2026-06-01',
  weeks: 13,
  days: ['01', '02', '03', '04'].map((day) => ({
    on: `2026-06-${day}`,
    minutes: day === '03' ? 20 : 0,
    keeperMinutes: 60,
    helperMinutes: 0,
  })),
  visits: [VISIT],
  waiting: [],
  troubles: [],
  closures: [],
  changes: [],
  timeAssumed: false,
  improving: false,
}
const PRICES = {
  because: 'It lies in the middle of its window.',
  best: [{ on: '2026-06-04', words: 'A day later costs 9 minutes more.' }],
  days: [
    { on: '2026-06-03', minutesDearer: 0, breaksRules: false, words: 'Where it is.' },
    { on: '2026-06-04', minutesDearer: 9.4, breaksRules: false, words: 'A day later costs 9 minutes more.' },
    {
      on: '2026-06-05',
      minutesDearer: 2,
      breaksRules: true,
      words: 'Two days after the vacuum of this tank.',
    },
  ],
}
const KEEPER = { name: 'Marit', role: 'KEEPER', demoAccounts: [] }

/** The plan of 13 weeks as it is seen at the table; every request is kept. */
async function open(answers: Answers = {}) {
  const asked = stubServer({
    'GET /api/session': KEEPER,
    'GET /api/plan': PLAN,
    'POST /api/plan/prices': PRICES,
    'POST /api/plan/decisions': PLAN,
    ...answers,
  })
  const { wrapper } = await mountView(PlanView, {}, '/?weeks=13&as=list')
  const bodies = (call: string) => asked.filter((one) => one.call === call).map((one) => one.body)
  const press = async (name: string) => {
    await wrapper
      .findAll('button')
      .find((one) => one.text() === name)
      ?.trigger('click')
    await settled()
  }
  return { wrapper, bodies, press }
}

describe('the plan', () => {
  it('says how many visits there are, how long they take and how long people have', async () => {
    const { wrapper } = await open()

    expect(wrapper.get('header').text()).toContain('1 visit, 20 min of the 4 h people have.')
    expect(wrapper.get('.news').text()).toContain('No problems.')
  })

  it('without a visit says what to do first', async () => {
    const { wrapper } = await open({ 'GET /api/plan': { ...PLAN, visits: [] } })

    expect(wrapper.text()).toContain('Nothing to plan yet. Add a tank with its filter')
  })

  it('that does not come is asked for again', async () => {
    let failing = true
    const { wrapper, press } = await open({ 'GET /api/plan': () => (failing ? 500 : PLAN) })
    expect(wrapper.get('[role=alert]').text()).toContain('the plan')

    failing = false
    await press('Try again')

    expect(wrapper.findAll('article')).toHaveLength(1)
  })

  it('takes back the last decision with a key, and shows the plan as it was', async () => {
    const { wrapper, bodies } = await open({
      'GET /api/plan': { ...PLAN, undo: 'moved the water change' },
      'DELETE /api/plan/decisions/last': PLAN,
    })
    expect(wrapper.text()).toContain('Undo: moved the water change')

    document.dispatchEvent(new KeyboardEvent('keydown', { key: 'u', bubbles: true }))
    await settled()

    expect(bodies('DELETE /api/plan/decisions/last')).toHaveLength(1)
  })
})

describe('a visit', () => {
  it('says why it lies there, priced in the plan of as many weeks as are looked at', async () => {
    const weeks: (string | null)[] = []
    const { wrapper, bodies, press } = await open({
      'POST /api/plan/prices': (_: unknown, query: URLSearchParams) => {
        weeks.push(query.get('weeks'))
        return PRICES
      },
    })

    await press('Brook bench')

    expect(wrapper.get('.panel').text()).toContain('It lies in the middle of its window.')
    expect(weeks).toEqual(['13'])
    expect(bodies('POST /api/plan/prices')).toEqual([
      {
        items: [
          { chain: 1, on: '2026-06-03' },
          { chain: 2, on: '2026-06-03' },
        ],
      },
    ])
  })

  it('moves to a day that breaks a rule once its keeper has read which, and is pinned there', async () => {
    const { wrapper, bodies, press } = await open()
    await press('Brook bench')
    expect(
      wrapper
        .findAll('.panel button')
        .find((one) => one.text() === 'Move and pin')
        ?.attributes(),
    ).toHaveProperty('disabled')

    await choose(wrapper, 'to', 'breaks a rule')
    expect(wrapper.get('form .late').text()).toBe('Two days after the vacuum of this tank.')
    await wrapper.get('.panel form').trigger('submit')
    await settled()

    expect(bodies('POST /api/plan/decisions')).toEqual([
      {
        items: [
          { chain: 1, on: '2026-06-03' },
          { chain: 2, on: '2026-06-03' },
        ],
        how: 'PIN',
        to: '2026-06-05',
      },
    ])
  })

  it('is skipped in part: only what is ticked', async () => {
    const { wrapper, bodies, press } = await open()
    await press('Brook bench')

    await wrapper.findAll('.panel input[type=checkbox]')[0]?.setValue(false)
    await settled()
    await press('Skip this time')

    expect(bodies('POST /api/plan/decisions')).toEqual([
      { items: [{ chain: 2, on: '2026-06-03' }], how: 'SKIP' },
    ])
  })

  it('keeps what was chosen for it when the server refuses the day, and says why', async () => {
    const { wrapper, press } = await open({
      'POST /api/plan/decisions': refusal(422, {
        detail: 'That would overtake the next one.',
        errors: [{ field: 'to', code: 'out-of-turn', message: 'That would overtake the next one.' }],
      }),
    })
    await press('Brook bench')
    await choose(wrapper, 'to', '+9 min')
    await wrapper.get('.panel form').trigger('submit')
    await settled()

    expect(wrapper.get('.panel [role=alert]').text()).toContain('That would overtake the next one.')
    expect(wrapper.get('.panel form').text()).toContain('A day later costs 9 minutes more.')
  })

  it('that no price is known for may lie elsewhere by now: asking again asks for the plan as well', async () => {
    let moved = false
    const { wrapper, bodies, press } = await open({
      'GET /api/plan': () => (moved ? { ...PLAN, visits: [{ ...VISIT, on: '2026-06-04' }] } : PLAN),
      'POST /api/plan/prices': (body: { items: { on: string }[] }) =>
        body.items.every((item) => item.on === '2026-06-04') ? PRICES : 404,
    })
    await press('Brook bench')
    expect(wrapper.get('.panel [role=alert]').text()).toContain('The plan did not answer.')

    moved = true
    await press('Ask again')

    expect(wrapper.get('.panel').text()).toContain('It lies in the middle of its window.')
    expect(bodies('POST /api/plan/prices').at(-1)).toHaveProperty('items.0.on', '2026-06-04')
  })

  it('is read by a helper, who is offered nothing that would be refused', async () => {
    const { wrapper, press } = await open({
      'GET /api/session': { ...KEEPER, name: 'Osei', role: 'HELPER' },
      'GET /api/plan': { ...PLAN, undo: 'moved the water change' },
    })
    await press('Brook bench')

    expect(wrapper.get('.panel').text()).toContain('It lies in the middle of its window.')
    expect(wrapper.find('.panel form').exists()).toBe(false)
    expect(wrapper.text()).not.toContain('Undo')
  })
})
