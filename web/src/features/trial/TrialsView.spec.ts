import { describe, expect, it } from 'vitest'
import { mountView, settled, stubServer } from '@/testing/mounting'
import type { Trial } from './queries'
import TrialsView from './TrialsView.vue'
import TrialView from './TrialView.vue'
import { daysOf, emptyTrial, fromTrial, toTrial } from './trial-form'
import {
  changeWords,
  effortWords,
  forethoughtWords,
  kneeWords,
  missingWords,
  outlookWords,
  placeOf,
  progressWords,
  riseWords,
  sideBySideWords,
  togetherWords,
  verdictWords,
  watchedWords,
} from './trials'

const rise = (perWeek: number) => ({
  perWeek,
  low: perWeek - 1,
  high: perWeek + 1,
  readings: 20,
  coarse: false,
  unlogged: [],
})
const way = (days: number | undefined, perWeek: number, minutesAWeek: number) => ({
  days,
  daysLived: 28,
  times: 5,
  readings: 9,
  minutesAWeek,
  rise: rise(perWeek),
})
type Band = { perWeek: number; low: number; high: number }
const band = (one: Band) => ({ ...one, readings: 20, coarse: false, unlogged: [] })
const pair = (way: number, less: number, difference: Band, apart: boolean, percent?: Band) => ({
  way,
  less,
  apart,
  difference: band(difference),
  percent: percent && band(percent),
})
const TRIAL: Trial = {
  id: 'a',
  subject: {
    tankId: 1,
    tank: 'Rock pool',
    taskId: 7,
    task: 'Change the sock',
    parameter: 'Nitrate',
    unit: 'mg/L',
    startedBy: 'Marit',
  },
  state: 'RUNNING',
  plan: {
    began: '2026-03-02',
    until: '2026-04-27',
    periodDays: 14,
    periodsOver: 2,
    oneEach: false,
    maySwap: false,
  },
  turns: [0, 1, 1, 0].map((way, i) => ({
    from: ['2026-03-02', '2026-03-16', '2026-03-30', '2026-04-13'][i] ?? '',
    until: ['2026-03-16', '2026-03-30', '2026-04-13', '2026-04-27'][i] ?? '',
    way,
  })),
  services: ['2026-03-05', '2026-03-08'],
  now: 1,
  ways: [way(3, 3.5, 9.3), way(6, 5.6, 4.6)],
  verdict: 'TOLD_APART',
  pairs: [pair(1, 0, { perWeek: 2.1, low: 0.9, high: 3.3 }, true)],
  watched: [],
  changes: [],
}

/** A sock left out, every 7 days and every 2. */
const THREE: Trial = {
  ...TRIAL,
  state: 'DONE',
  now: undefined,
  ways: [way(undefined, 10, 0), way(7, 6, 4), way(2, 5.8, 14)],
  pairs: [
    pair(1, 0, { perWeek: -4, low: -5, high: -3 }, true, { perWeek: -40, low: -48, high: -31 }),
    pair(2, 0, { perWeek: -4.2, low: -5, high: -3 }, true, { perWeek: -42, low: -49, high: -33 }),
    pair(2, 1, { perWeek: -0.2, low: -1, high: 0.6 }, false),
  ],
  knee: 1,
}

describe('what a trial says', () => {
  it('names the way under which the water rises more, with its band', () => {
    expect(verdictWords(TRIAL)).toBe(
      'Nitrate rose by 2.1 mg/L a week more when it was done every 6 days than every 3 days (between 0.90 and 3.3 mg/L, four times in five). That is more than chance would usually make.',
    )
  })

  it('turns the band with the difference, and does not tell apart what chance could make', () => {
    const turned: Trial = {
      ...TRIAL,
      verdict: 'NOT_TOLD_APART',
      pairs: [pair(1, 0, { perWeek: -0.4, low: -1.5, high: 0.7 }, false)],
    }

    expect(verdictWords(turned)).toContain('0.40 mg/L a week more when it was done every 3 days than every 6')
    expect(verdictWords(turned)).toContain('between −0.70 and 1.5 mg/L')
    expect(verdictWords(turned)).toContain('not told apart yet')
  })

  it('says that it cannot say while readings are too few', () => {
    expect(verdictWords({ ...TRIAL, pairs: [], verdict: 'TOO_FEW' })).toContain('Too few readings')
  })

  it('tells the time the more frequent way takes, and how far the trial is', () => {
    expect(effortWords(TRIAL)).toBe('Doing it every 3 days took about 5 minutes a week more.')
    expect(progressWords(TRIAL)).toBe('period 3 of 4, every 6 days now')
    expect(progressWords({ ...TRIAL, state: 'STOPPED', now: undefined })).toBe(
      'stopped early, 2 of 4 periods',
    )
    expect(placeOf(TRIAL, '2026-03-30')).toBe(0.5)
    expect(riseWords(12.34, 'mg/L')).toBe('12.3 mg/L')
  })

  it('of many ways measures each by the first, and names the one that is worth its work', () => {
    expect(verdictWords(THREE)).toBe(
      'Nitrate a week, against without it: every 7 days 40 % less (31 to 48 %); every 2 days 42 % less (33 to 49 %).',
    )
    expect(kneeWords(THREE)).toBe('Every 7 days looks worth its work: what more wins beyond that is little.')
    expect(effortWords(THREE)).toBe('Doing it every 2 days took about 14 minutes a week more.')
    expect(kneeWords(TRIAL)).toBeUndefined()
  })

  it('says of several tanks what they tell together, once two of them do', () => {
    const id = 'b'
    expect(togetherWords({ ...TRIAL, together: { id, tanks: 1, pairs: [] } })).toContain('once two of them')
    expect(togetherWords({ ...THREE, together: { id, tanks: 4, pairs: THREE.pairs, knee: 2 } })).toBe(
      '4 tanks together: Nitrate a week, against without it: every 7 days 40 % less (31 to 48 %); every 2 days 42 % less (33 to 49 %). Every 2 days looks worth its work: what more wins beyond that is little.',
    )
    expect(togetherWords(TRIAL)).toBeUndefined()
  })

  const EACH: Trial = {
    ...TRIAL,
    plan: { ...TRIAL.plan, oneEach: true, maySwap: true },
    ways: [way(3, 3.5, 9.3), { ...way(6, 5.6, 4.6), rise: undefined, daysLived: 0, readings: 0 }],
    pairs: [],
  }
  const OTHER: Trial = {
    ...EACH,
    id: 'c',
    subject: { ...EACH.subject, tank: 'Eelgrass bed' },
    ways: [{ ...way(3, 3.5, 9.3), rise: undefined }, way(6, 5.6, 4.6)],
  }

  it('sets tanks that keep one way each side by side, says what that is not, and offers to swap', () => {
    expect(sideBySideWords([EACH, OTHER])).toBe(
      'Nitrate a week: Rock pool every 3 days: 3.5 mg/L; Eelgrass bed every 6 days: 5.6 mg/L. ' +
        'Each tank kept one way, so whether the way or the tank makes a difference cannot be told from this. ' +
        'Swap the ways, and keep the new ones as long again: then it can.',
    )
    expect(sideBySideWords([TRIAL])).toBeUndefined()
    expect(sideBySideWords([{ ...EACH, pairs: TRIAL.pairs }])).toBeUndefined()
  })

  it('says when to read next, and of which way nothing is read yet', () => {
    const unread = { ...way(6, 5.6, 4.6), readings: 0, daysLived: 3 }
    expect(missingWords({ ...TRIAL, readBy: '2026-03-01', ways: [way(3, 3.5, 9.3), unread] })).toBe(
      'Read nitrate today. Nothing is read yet of every 6 days.',
    )
    expect(missingWords({ ...TRIAL, readBy: '2099-03-04' })).toBe('Read nitrate by 4 Mar 2099.')
    expect(missingWords({ ...TRIAL, state: 'DONE', readBy: '2099-03-04' })).toBeUndefined()
  })

  it('names what else changed, and what is only watched', () => {
    const fed = { onDay: '2026-04-12', words: 'Fed more: fry', allowedFor: true }
    expect(changeWords(fed)).toBe('12 Apr 2026: Fed more: fry, allowed for')
    expect(changeWords({ ...fed, allowedFor: false })).toBe('12 Apr 2026: Fed more: fry')
    expect(watchedWords({ rise: rise(0.2) }, 'mg/L')).toBe('0.20 mg/L a week')
    expect(watchedWords({ held: { mean: 7.25, low: 7, high: 7.5, readings: 4 } }, '')).toBe('7.3, 7.0 to 7.5')
    expect(watchedWords({ held: { mean: 7, low: 7, high: 7, readings: 1 } }, '')).toBe('7.0')
    expect(watchedWords({}, '')).toBe('–')
  })

  it('says whether it is worth going on', () => {
    const outlook = { readings: 12, wantedPercent: 20, readingsWanted: 34, nothingLeft: false }
    expect(outlookWords({ ...TRIAL, outlook: { ...outlook, enoughOn: '2026-04-12' } })).toContain(
      '34 readings tell a difference of 20 %; there are 12, and enough by 12 Apr 2026',
    )
    expect(outlookWords({ ...TRIAL, outlook: { ...outlook, enoughOn: '2032-09-26' } })).toContain(
      'This trial ends before there are enough',
    )
    expect(outlookWords({ ...TRIAL, outlook: { ...outlook, readings: 40 } })).toBe(
      '40 readings are enough to tell a difference of 20 %.',
    )
    expect(outlookWords({ ...TRIAL, outlook: { ...outlook, nothingLeft: true } })).toBe(
      'No difference of 20 % or more is left to find.',
    )
    expect(outlookWords(TRIAL)).toBeUndefined()
  })

  it('refuses half days at their field, and asks for no days of a way without', () => {
    const form = {
      ...emptyTrial(),
      ways: [
        { days: '', without: true },
        { days: '2.5', without: false },
        { days: '0', without: false },
      ],
    }

    const { input, errors } = toTrial(form)

    expect(Object.keys(errors).sort()).toEqual(['taskId', 'ways[1]', 'ways[2]'])
    expect(input.ways[0]).toBe(0)
    expect(input.periods).toBe(12)
  })
})

describe('a trial as it is typed', () => {
  const typed = {
    ...emptyTrial(),
    task: '7',
    ways: [
      { days: '3', without: false },
      { days: '6', without: false },
    ],
    watched: ['PH', 'NITRATE'] as const,
  }

  it('lets each tank keep a way for so many periods once there are tanks enough', () => {
    const form = { ...typed, watched: [...typed.watched], layout: 'EACH' as const, turns: 6 }

    expect(toTrial({ ...form, also: [9] }).input).toMatchObject({ oneEach: true, periods: 6 })
    expect(toTrial({ ...form, also: [] }).input).toMatchObject({ oneEach: undefined, periods: 12 })
    expect(daysOf({ ...form, also: [9] })).toBe(84)
    expect(daysOf({ ...form, periodDays: 'x' })).toBeUndefined()
  })

  it('watches what is not compared already, and may have begun before today', () => {
    const { input } = toTrial({ ...typed, watched: [...typed.watched], began: '2026-01-05' })

    expect(input.watched).toEqual(['PH'])
    expect(input.began).toBe('2026-01-05')
  })
})

describe('the trials', () => {
  const open = (trials: Trial[]) =>
    stubServer({
      'GET /api/session': { name: 'Marit', role: 'KEEPER', demoAccounts: [] },
      'GET /api/trials': trials,
      'POST /api/trials/a/stop': 204,
    })

  it('says what each way costs a week where doing it uses up what has a price', async () => {
    const [often, seldom] = TRIAL.ways
    if (!often || !seldom) throw new Error('two ways')
    open([{ ...TRIAL, ways: [{ ...often, costAWeek: 3.5 }, seldom] }])
    const { wrapper } = await mountView(TrialsView)
    await settled()
    const rows = wrapper.findAll('tbody tr').map((row) => row.text())

    expect(wrapper.text()).toContain('Cost a week')
    expect(rows[0]).toContain('€3.50')
    expect(rows[1]).toContain('–')
  })

  it('leaves out the cost of what uses up nothing', async () => {
    open([{ ...TRIAL, ways: TRIAL.ways.map((way) => ({ ...way, costAWeek: 0 })) }])
    const { wrapper } = await mountView(TrialsView)
    await settled()

    expect(wrapper.text()).not.toContain('Cost a week')
  })

  it('stops a trial that runs', async () => {
    const asked = open([TRIAL])
    const { wrapper } = await mountView(TrialsView)

    await settled()
    await wrapper
      .findAll('article button')
      .find((one) => one.text().startsWith('Stop'))
      ?.trigger('click')
    await settled()

    expect(asked.some((one) => one.call === 'POST /api/trials/a/stop')).toBe(true)
    expect(wrapper.findAll('.tick')).toHaveLength(2)
  })

  it('is read by a helper, who is offered nothing that would be refused', async () => {
    stubServer({
      'GET /api/session': { name: 'Osei', role: 'HELPER', demoAccounts: [] },
      'GET /api/trials': [TRIAL, { ...TRIAL, id: 'b', state: 'DONE' }],
    })
    const { wrapper } = await mountView(TrialsView)
    await settled()

    expect(wrapper.findAll('article')).toHaveLength(2)
    expect(new Set(wrapper.findAll('article button').map((one) => one.text()))).toEqual(
      new Set(['Something else changed']),
    )
  })

  it('of several tanks stand under what they tell together, said once', async () => {
    const together = { id: 'b', tanks: 2, pairs: TRIAL.pairs }
    open([
      { ...TRIAL, together },
      { ...TRIAL, id: 'c', subject: { ...TRIAL.subject, tank: 'Eelgrass bed' }, together },
    ])
    const { wrapper } = await mountView(TrialsView)

    expect(wrapper.findAll('[data-together]')).toHaveLength(1)
    expect(wrapper.get('[data-together]').text()).toContain('2 tanks together: Nitrate rose by 2.1 mg/L')
    expect(wrapper.findAll('article')).toHaveLength(2)
  })

  it('adopts what is worth its work in all tanks at once, with one way back', async () => {
    const together = { id: 'b', tanks: 2, pairs: THREE.pairs, knee: 1 }
    const other = {
      ...THREE,
      id: 'c',
      together,
      subject: { ...THREE.subject, taskId: 8, tank: 'Eelgrass bed' },
    }
    const asked = stubServer({
      'GET /api/session': { name: 'Marit', role: 'KEEPER', demoAccounts: [] },
      'GET /api/trials': [{ ...THREE, together }, other],
      'GET /api/filters': [
        { id: 3, tankId: 1, name: 'Undertow', stages: [], tasks: [{ id: 7, mode: 'LEARN' }] },
        { id: 4, tankId: 2, name: 'Ebb', stages: [], tasks: [{ id: 8, mode: 'FIXED', fixedDays: 9 }] },
      ],
      'PUT /api/trials/a/adopted': 204,
      'PUT /api/trials/c/adopted': 204,
      'POST /api/trials/a/adopted/undo': 204,
      'POST /api/trials/c/adopted/undo': 204,
    })
    const { wrapper } = await mountView(TrialsView)
    await settled()

    const all = wrapper.get('[data-together] button')
    expect(all.text()).toBe('Adopt every 7 days in all 2 tanks')
    await all.trigger('click')
    await settled()
    expect(asked.find((one) => one.call === 'PUT /api/trials/c/adopted')?.body).toEqual({ way: 1 })

    ;[...document.querySelectorAll<HTMLElement>('.el-message button')].at(-1)?.click()
    await settled()
    expect(asked.find((one) => one.call === 'POST /api/trials/c/adopted/undo')?.body).toEqual({
      mode: 'FIXED',
      fixedDays: 9,
    })
  })

  it('of several ways draws the curve, and adopts one with a way back', async () => {
    const asked = stubServer({
      'GET /api/session': { name: 'Marit', role: 'KEEPER', demoAccounts: [] },
      'GET /api/trials': [THREE],
      'GET /api/filters': [
        {
          id: 3,
          tankId: 1,
          name: 'Undertow',
          stages: [],
          tasks: [{ id: 7, name: 'Change the sock', mode: 'LEARN' }],
        },
      ],
      'PUT /api/trials/a/adopted': 204,
      'POST /api/trials/a/adopted/undo': 204,
    })
    const { wrapper } = await mountView(TrialsView)

    expect(wrapper.get('figure svg').attributes('aria-label')).toContain('without it 10.0 mg/L')
    expect(wrapper.get('.knee').text()).toContain('worth its work')
    const buttons = wrapper.findAll('td button')
    expect(buttons.map((one) => one.text())).toEqual(['Adopt every 7 days', 'Adopt every 2 days'])
    await buttons[0]?.trigger('click')
    await settled()
    expect(asked.find((one) => one.call === 'PUT /api/trials/a/adopted')?.body).toEqual({ way: 1 })

    ;[...document.querySelectorAll<HTMLElement>('.el-message button')].at(-1)?.click()
    await settled()
    expect(asked.find((one) => one.call === 'POST /api/trials/a/adopted/undo')?.body).toEqual({
      mode: 'LEARN',
    })
  })

  it('swaps the ways of tanks that keep one each, with a way back', async () => {
    const asked = stubServer({
      'GET /api/session': { name: 'Marit', role: 'KEEPER', demoAccounts: [] },
      'GET /api/trials': [{ ...TRIAL, plan: { ...TRIAL.plan, oneEach: true, maySwap: true }, pairs: [] }],
      'POST /api/trials/a/swap': 204,
      'DELETE /api/trials/a/swap': 204,
    })
    const { wrapper } = await mountView(TrialsView)
    await settled()

    await wrapper
      .findAll('article button')
      .find((one) => one.text().startsWith('Swap'))
      ?.trigger('click')
    await settled()
    ;[...document.querySelectorAll<HTMLElement>('.el-message button')].at(-1)?.click()
    await settled()

    expect(asked.map((one) => one.call)).toEqual(
      expect.arrayContaining(['POST /api/trials/a/swap', 'DELETE /api/trials/a/swap']),
    )
  })

  it('notes what else changed, and takes it back', async () => {
    const asked = stubServer({
      'GET /api/session': { name: 'Osei', role: 'HELPER', demoAccounts: [] },
      'GET /api/trials': [
        { ...TRIAL, changes: [{ id: 'e', onDay: '2026-04-12', words: 'Fed less', allowedFor: true }] },
      ],
      'DELETE /api/tank-events/e': 204,
    })
    const { wrapper } = await mountView(TrialsView)
    await settled()
    expect(wrapper.get('.meanwhile li').text()).toContain('12 Apr 2026: Fed less, allowed for')

    await wrapper.get('.meanwhile li button').trigger('click')
    await settled()
    await wrapper.get('.meanwhile > button').trigger('click')
    await wrapper.get('.meanwhile form').trigger('submit')
    await settled()

    expect(asked.some((one) => one.call === 'DELETE /api/tank-events/e')).toBe(true)
    const told = asked.find((one) => one.call.startsWith('PUT /api/tanks/1/events/'))
    expect(told?.body).toMatchObject({ kind: 'FED_MORE', note: '' })
  })

  it('stands on a page of its own with how it was laid out, and says where it is gone', async () => {
    open([{ ...TRIAL, watched: [{ parameter: 'pH', unit: '', byWay: [{}, {}] }] }])
    const { wrapper } = await mountView(TrialView, { trial: 'a' })
    await settled()
    expect(wrapper.get('h1').text()).toBe('Trial: Change the sock, Rock pool')
    expect(wrapper.text()).toContain('every 3 days, every 6 days; in 4 turns of 14 days, from 2 Mar 2026')
    expect(wrapper.text()).toContain('pH only watched')

    const gone = await mountView(TrialView, { trial: 'zz' })
    await settled()
    expect(gone.wrapper.text()).toContain('There is no such trial here.')
  })

  it('says what a trial is good for where there is none', async () => {
    open([])
    const { wrapper } = await mountView(TrialsView)

    expect(wrapper.text()).toContain('No trial yet.')
  })

  it('says before it begins what it could tell, and what more it would take', () => {
    const ahead = { readings: 40, wantedPercent: 20, smallestPercent: 14, weeksWanted: 9, enough: true }

    expect(forethoughtWords(ahead, 112)).toBe(
      'Read as often as in the weeks before, it would tell a difference of 14 %, four times in five.',
    )
    expect(forethoughtWords({ ...ahead, smallestPercent: 40, weeksWanted: 64, enough: false }, 112)).toBe(
      'Read as often as in the weeks before, it would tell only a difference of 40 %. ' +
        'For 20 % it wants 4.0 times the readings, or 64 weeks.',
    )
    expect(
      forethoughtWords({ ...ahead, smallestPercent: 180, weeksWanted: 1300, enough: false }, 112),
    ).toContain('it would tell nothing. Read far more often')
    expect(forethoughtWords({ readings: 0, wantedPercent: 20, enough: false }, 112)).toContain(
      'too few readings',
    )
  })

  it('is repeated with the same ways, one left out among them', () => {
    const again = fromTrial({ ...TRIAL, ways: [way(undefined, 8, 0), way(3, 6, 9)] })

    expect(toTrial(again, '2026-06-01').input).toMatchObject({
      taskId: 7,
      ways: [0, 3],
      periodDays: 14,
      periods: 4,
    })
  })
})
