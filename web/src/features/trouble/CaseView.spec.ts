import { describe, expect, it, vi } from 'vitest'
import { choose, mountView, refusal, settled, stubServer, type Answers } from '@/testing/mounting'
import CasesView from './CasesView.vue'
import CaseView from './CaseView.vue'
import type { Case, TroubleEvent } from './queries'
import SiteTrouble from './SiteTrouble.vue'
import StartView from './StartView.vue'
import TankTrouble from './TankTrouble.vue'

const ID = '00000000-0000-0000-0000-000000000017'
const EVENTS = `POST /api/trouble-cases/${ID}/events`
const TANKS = [{ id: 4, version: 1, tank: { name: 'Brook bench', room: '' } }]

function summary(more: Partial<Case['summary']> = {}): Case['summary'] {
  return {
    id: ID,
    tankId: 4,
    filterId: 6,
    filterName: 'Weir',
    complaint: 'weak-flow',
    noticedOn: '2026-05-30',
    openedAt: '2026-05-30T09:00:00Z',
    openedBy: 'Marit',
    standing: 'OPEN',
    counts: 'IGNORE_FLOW',
    overruled: false,
    ...more,
  }
}

/** A canister whose impeller was cleaned 410 days ago; the server keeps what it is sent. */
function server(
  more: Partial<Case['summary']> = {},
  features: Record<string, number> = { daysSinceImpeller: 410, prefilterLoading: 0.9 },
) {
  const events: TroubleEvent[] = []
  const view = (): Case => ({
    summary: summary(more),
    known: {
      kind: 'CANISTER',
      stages: ['PREFILTER_SPONGE', 'HOSES', 'COARSE_FOAM', 'FINE_PAD', 'IMPELLER', 'SEALS'],
      touched: {},
      features,
      readings: {},
    },
    weights: {},
    events,
    now: { causes: [], step: 'REPAIR', id: 'rinse-prefilter', offersExit: false },
    tasks: { 'rinse-prefilter': 61, 'clean-impeller': 62 },
    before: [],
  })
  const answers: Answers = {
    'GET /api/tanks': TANKS,
    [EVENTS]: (body: unknown) => {
      for (const event of (body as { events: TroubleEvent[] }).events)
        events.push({ ...event, doneBy: 'Marit' })
      return view()
    },
  }
  return { answers, events, view }
}

async function open(answers: Answers) {
  const asked = stubServer(answers)
  const { wrapper, router } = await mountView(CaseView, { case: ID })
  const press = async (name: string) => {
    const button = wrapper.findAll('button').find((one) => one.text().includes(name))
    if (!button) throw new Error(`no button ${name} in ${wrapper.text()}`)
    await button.trigger('click')
    await settled()
  }
  return { asked, wrapper, router, press }
}

describe('a case', () => {
  it('begins with what is likeliest by this tank’s log, and says why', async () => {
    const { wrapper } = await open(server().answers)

    expect(wrapper.get('h1').text()).toBe('The flow is weak')
    expect(wrapper.text()).toContain('Rinse the pre-filter in tank water')
    expect(wrapper.text()).toContain('Because it should be 90 % full by now')
    expect(wrapper.text()).toContain('Unplug before hands go in the water')
  })

  it('leads into the guided service of the task it is', async () => {
    const { wrapper } = await open(server().answers)
    const link = wrapper.findAll('a').find((one) => one.text() === 'Be guided through it')

    expect(link?.attributes('href')).toContain('/at/4/prepare?tasks=61')
  })

  it('asks on when a repair did not help, and keeps each step', async () => {
    const { answers, events } = server()
    const { wrapper, press } = await open(answers)

    await press('No')

    expect(events.map(({ kind, about, value }) => `${kind} ${about} ${value}`)).toEqual([
      'TRIED rinse-prefilter no-change',
    ])
    expect(wrapper.text()).toContain('No change')
    expect(wrapper.text()).not.toContain('Be guided through it')
  })

  it('takes a step back on Back, and each other by its own button', async () => {
    const { answers, events } = server()
    const { wrapper, press } = await open(answers)
    await press('No')

    await press('Back')

    expect(events.at(-1)?.kind).toBe('TAKEN_BACK')
    expect(events.at(-1)?.about).toBe(events[0]?.id)
    expect(wrapper.text()).toContain('Nothing yet.')
    expect(wrapper.text()).toContain('Rinse the pre-filter in tank water')
  })

  it('goes on without a connection and sends what was answered once it is back', async () => {
    const { answers, events } = server()
    const keeps = answers[EVENTS]
    const { wrapper, press } = await open(answers)
    answers[EVENTS] = 503
    await press('No')

    expect(wrapper.text()).toContain('No connection')
    expect(wrapper.text()).toContain('No change')
    expect(events).toHaveLength(0)

    answers[EVENTS] = keeps
    globalThis.dispatchEvent(new Event('online'))
    await settled()
    expect(events).toHaveLength(1)
    expect(wrapper.text()).not.toContain('No connection')
  })

  it('opens again from this browser where the server cannot be reached', async () => {
    const first = await open(server().answers)
    first.wrapper.unmount()

    const { wrapper } = await open({ ...server().answers, [EVENTS]: 503 })

    expect(wrapper.get('h1').text()).toBe('The flow is weak')
  })

  it('shows what was answered meanwhile by somebody else', async () => {
    const { answers, events } = server()
    events.push({
      id: '1',
      kind: 'ANSWER',
      about: 'prefilter-look',
      value: 'clean',
      happenedAt: '2026-06-01T09:00:00Z',
      doneBy: 'Osei',
    })
    const { wrapper } = await open(answers)

    expect(wrapper.text()).toContain('Osei')
    expect(wrapper.text()).toContain('Clean')
  })

  it('stops at a danger, tells whom to call, and goes on once it is over', async () => {
    const { answers, events } = server({ complaint: 'no-flow' })
    const { wrapper, press } = await open(answers)
    expect(wrapper.text()).toContain('Safety first')

    await press('Yes, or not sure')

    const stop = wrapper.get('[role=alert]')
    expect(stop.text()).toContain('Cut the power at the fuse or breaker')
    expect(stop.text()).toContain('licensed electrician')
    expect(wrapper.findAll('button').some((one) => one.text() === 'Yes')).toBe(false)
    await press('It is safe now')
    expect(events.at(-1)?.kind).toBe('TAKEN_BACK')
    expect(wrapper.text()).toContain('Safety first')
  })

  it('offers to look again at an answer that does not fit', async () => {
    const { answers, events } = server({}, { prefilterLoading: 0.9, prefilterLastGrade: 3, foamLoading: 0.5 })
    for (const [about, value] of [
      ['prefilter-look', 'clogged'],
      ['prefilter-off', 'no'],
    ] as const)
      events.push({ id: about, kind: 'ANSWER', about, value, happenedAt: '2026-06-01T09:00:00Z' })
    const { wrapper, press } = await open(answers)
    expect(wrapper.text()).toContain('does not fit')

    await press('Look at that again')
    expect(wrapper.text()).toContain('How does the pre-filter sponge look?')
    await press('Brown, but open')

    expect(events.at(-1)).toMatchObject({ about: 'prefilter-look', value: 'brown' })
    expect(wrapper.text()).not.toContain('does not fit')
  })

  it('that is mended names its cause and lets its keeper overrule what is learned', async () => {
    const { answers, events, view } = server({
      standing: 'SOLVED',
      closedOn: '2026-06-01',
      repair: 'clean-impeller',
      cause: 'impeller-dirty',
    })
    events.push({
      id: '1',
      kind: 'TRIED',
      about: 'clean-impeller',
      value: 'solved',
      happenedAt: '2026-06-01T09:00:00Z',
    })
    answers[`PUT /api/trouble-cases/${ID}/bearing`] = () => ({
      ...view(),
      summary: summary({ standing: 'SOLVED', counts: 'DIRT', overruled: true, cause: 'impeller-dirty' }),
    })
    const { asked, wrapper } = await open(answers)
    expect(wrapper.text()).toContain('Slime slows the impeller')
    expect(wrapper.text()).toContain('Not dirt')

    await choose(wrapper, 'counts', 'Dirt')

    expect(asked.find(({ call }) => call.startsWith('PUT'))?.body).toEqual({ counts: 'DIRT' })
    expect(wrapper.text()).toContain('counts as always')
  })

  it('can be given up and gone on with', async () => {
    const { answers, view } = server()
    answers[`PUT /api/trouble-cases/${ID}/left`] = () => ({
      ...view(),
      summary: summary({ standing: 'LEFT' }),
    })
    answers[`DELETE /api/trouble-cases/${ID}/left`] = () => view()
    const { wrapper, press } = await open(answers)

    await press('Give up')
    expect(wrapper.text()).toContain('Nothing was found')
    answers[EVENTS] = () => view()
    await press('Go on with it')
    expect(wrapper.text()).toContain('Rinse the pre-filter in tank water')
  })

  it('is reminded of what the same complaint came from before', async () => {
    const { answers, view } = server()
    const worn = summary({ id: 'b', standing: 'SOLVED', closedOn: '2026-03-12', cause: 'impeller-worn' })
    answers[EVENTS] = () => ({ ...view(), before: [worn] })
    const { wrapper } = await open(answers)

    expect(wrapper.text()).toContain('Same complaint before')
    expect(wrapper.text()).toContain('the impeller, shaft or bushing is worn')
  })

  it('leads to the page where a step is best done', async () => {
    const { wrapper } = await open(server().answers)

    const sum = wrapper.findAll('a').find((one) => one.text() === 'How many tubs?')
    expect(sum?.attributes('href')).toBe('/bench/sums/buckets?tank=4')
  })

  it('is put on the rounds', async () => {
    const { answers } = server()
    answers[`PUT /api/trouble-cases/${ID}/reminder`] = 204
    const { asked, press } = await open(answers)

    await press('Put it on my rounds')

    expect(asked.find(({ call }) => call.endsWith('/reminder'))?.body).toEqual({
      words: 'Weir: Rinse the pre-filter in tank water',
      hours: 0,
    })
  })

  it('tells a refused step and can drop it', async () => {
    const { answers, view } = server()
    const { wrapper, press } = await open(answers)
    answers[EVENTS] = (body: unknown) =>
      (body as { events: unknown[] }).events.length
        ? refusal(422, { detail: 'At most 400 steps a case.' })
        : view()
    await press('No')
    expect(wrapper.text()).toContain('At most 400 steps a case.')

    await press('Drop what was not sent')

    expect(wrapper.text()).not.toContain('At most 400 steps a case.')
    expect(wrapper.text()).toContain('Nothing yet.')
  })

  it('that is not there says so', async () => {
    const { wrapper } = await open({ [EVENTS]: refusal(404, { detail: 'No such case on this site.' }) })

    expect(wrapper.text()).toContain('No such case on this site.')
  })
})

describe('the start of a case', () => {
  const weir = { id: 6, name: 'Weir', kind: 'CANISTER', stages: [{ kind: 'SEALS' }], tasks: [] }
  const undertow = { id: 7, name: 'Undertow', kind: 'SUMP', stages: [{ kind: 'SOCK' }], tasks: [] }
  const answers = (more: Answers = {}): Answers => ({
    'GET /api/tanks': TANKS,
    'GET /api/tanks/4/filters': [weir, undertow],
    'GET /api/filters': [weir, undertow].map((one) => ({ ...one, tankId: 4 })),
    'GET /api/trouble-cases': [],
    ...more,
  })

  it('offers what the chosen filter can have', async () => {
    stubServer(answers())
    const { wrapper } = await mountView(StartView, {}, '/start-case?tank=4&filter=7')

    expect(wrapper.text()).toContain('The sump level rises')
    expect(wrapper.text()).not.toContain('The lid will not close')
    expect(wrapper.text()).not.toContain('The UV lamp is dark')
    expect(wrapper.text()).toContain('Cut the power')
  })

  it('knows the tank by the filter alone', async () => {
    stubServer(answers())
    const { wrapper } = await mountView(StartView, {}, '/start-case?filter=7')

    expect(wrapper.text()).toContain('Brook bench')
    expect(wrapper.text()).toContain('The sump level rises')
  })

  it('opens a case about the filter and goes to it', async () => {
    vi.stubGlobal('crypto', { ...crypto, randomUUID: () => ID })
    const asked = stubServer(answers({ [`PUT /api/trouble-cases/${ID}`]: server().view() }))
    const { wrapper, router } = await mountView(StartView, {}, '/start-case?tank=4&filter=6')

    await wrapper
      .findAll('button')
      .find((one) => one.text().includes('It drips or leaks'))
      ?.trigger('click')
    await settled()

    expect(asked.find(({ call }) => call.startsWith('PUT'))?.body).toMatchObject({
      filterId: 6,
      complaint: 'drips',
    })
    expect(router.currentRoute.value.fullPath).toBe(`/trouble/${ID}`)
    vi.unstubAllGlobals()
  })

  it('leads to a case that is open already', async () => {
    stubServer(answers({ 'GET /api/trouble-cases': [summary()] }))
    const { wrapper } = await mountView(StartView, {}, '/start-case?tank=4&filter=6')

    expect(wrapper.text()).toContain('The flow is weak is being looked into already.')
  })

  it('tells a day that is refused at its field', async () => {
    const refused = refusal(422, {
      detail: 'Some fields need another look.',
      errors: [{ field: 'noticedOn', code: 'future', message: 'This day is yet to come.' }],
    })
    vi.stubGlobal('crypto', { ...crypto, randomUUID: () => ID })
    stubServer(answers({ [`PUT /api/trouble-cases/${ID}`]: refused }))
    const { wrapper } = await mountView(StartView, {}, '/start-case?tank=4&filter=6')

    await wrapper
      .findAll('button')
      .find((one) => one.text().includes('It drips or leaks'))
      ?.trigger('click')
    await settled()

    expect(wrapper.get('[data-field=noticedOn]').text()).toContain('This day is yet to come.')
    vi.unstubAllGlobals()
  })

  it('says where there is no tank, and where a tank has no filter', async () => {
    stubServer({ ...answers(), 'GET /api/tanks': [] })
    expect((await mountView(StartView)).wrapper.text()).toContain('There is no tank yet.')

    stubServer(answers({ 'GET /api/tanks/4/filters': [] }))
    const { wrapper } = await mountView(StartView, {}, '/start-case?tank=4')
    expect(wrapper.text()).toContain('This tank has no filter yet.')
  })
})

describe('the cases of a site', () => {
  const closed = summary({
    id: 'b',
    standing: 'SOLVED',
    closedOn: '2026-05-02',
    cause: 'impeller-worn',
    repair: 'replace-impeller',
  })
  const rates = {
    cases: 1,
    priorCases: 20,
    causes: [{ cause: 'impeller-worn', times: 1, cases: 1, expected: 0.05, factor: 2 }],
  }

  it('tell what is open, what was found, and what that says here', async () => {
    stubServer({
      'GET /api/tanks': TANKS,
      'GET /api/trouble-cases': [summary(), closed],
      'GET /api/trouble-rates': rates,
    })
    const { wrapper } = await mountView(CasesView)

    expect(wrapper.text()).toContain('Being looked into')
    expect(wrapper.text()).toContain('the impeller, shaft or bushing is worn')
    expect(wrapper.text()).toContain(
      'found 1 of 1 time; now expected in 10 % of such cases, elsewhere in 5 %',
    )
  })

  it('are counted anew on wish', async () => {
    const asked = stubServer({
      'GET /api/tanks': TANKS,
      'GET /api/trouble-cases': [closed],
      'GET /api/trouble-rates': rates,
      'PUT /api/trouble-rates/anew': { ...rates, cases: 0, causes: [] },
    })
    const { wrapper } = await mountView(CasesView)
    await wrapper
      .findAll('button')
      .find((one) => one.text() === 'Begin counting anew')
      ?.trigger('click')
    await settled()

    expect(asked.map(({ call }) => call)).toContain('PUT /api/trouble-rates/anew')
  })

  it('stand on the rounds while they are open', async () => {
    stubServer({ 'GET /api/tanks': TANKS, 'GET /api/trouble-cases': [summary(), closed] })
    const { wrapper } = await mountView(SiteTrouble)

    expect(wrapper.text()).toContain('The flow is weak')
    expect(wrapper.text()).toContain('Brook bench, Weir')
    expect(wrapper.text()).not.toContain('worn')
  })

  it('teach where there is none', async () => {
    stubServer({ 'GET /api/tanks': TANKS, 'GET /api/trouble-cases': [] })
    const { wrapper } = await mountView(CasesView)

    expect(wrapper.text()).toContain('Nothing was looked into yet.')
  })

  it('stand on their tank’s page, open ones apart from closed ones', async () => {
    stubServer({ 'GET /api/trouble-cases': [summary(), closed] })

    const going = await mountView(TankTrouble, { tank: 4, open: true })
    const before = await mountView(TankTrouble, { tank: 4, open: false })

    expect(going.wrapper.text()).toContain('open')
    expect(going.wrapper.text()).not.toContain('worn')
    expect(before.wrapper.text()).toContain('worn')
  })
})
