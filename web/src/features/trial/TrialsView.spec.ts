import { describe, expect, it } from 'vitest'
import { mountView, settled, stubServer } from '@/testing/mounting'
import type { Trial } from './queries'
import TrialsView from './TrialsView.vue'
import { effortWords, emptyTrial, placeOf, progressWords, riseWords, toTrial, verdictWords } from './trials'

const rise = (perWeek: number) => ({
  perWeek,
  low: perWeek - 1,
  high: perWeek + 1,
  readings: 20,
  coarse: false,
  unlogged: [],
})
const way = (name: 'FIRST' | 'OTHER', days: number, perWeek: number, minutesAWeek: number) => ({
  way: name,
  days,
  daysLived: 28,
  times: 5,
  minutesAWeek,
  rise: rise(perWeek),
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
  plan: { began: '2026-03-02', until: '2026-04-27', periodDays: 14, periodsOver: 2 },
  turns: ['FIRST', 'OTHER', 'OTHER', 'FIRST'].map((name, i) => ({
    from: ['2026-03-02', '2026-03-16', '2026-03-30', '2026-04-13'][i] ?? '',
    until: ['2026-03-16', '2026-03-30', '2026-04-13', '2026-04-27'][i] ?? '',
    way: name as 'FIRST' | 'OTHER',
  })),
  services: ['2026-03-05', '2026-03-08'],
  now: 'OTHER',
  ways: [way('FIRST', 3, 3.5, 9.3), way('OTHER', 6, 5.6, 4.6)],
  verdict: 'FIRST_RISES_LESS',
  difference: { perWeek: 2.1, low: 0.9, high: 3.3, readings: 20, coarse: false, unlogged: [] },
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
      difference: { perWeek: -0.4, low: -1.5, high: 0.7, readings: 20, coarse: false, unlogged: [] },
    }

    expect(verdictWords(turned)).toContain('0.40 mg/L a week more when it was done every 3 days than every 6')
    expect(verdictWords(turned)).toContain('between −0.70 and 1.5 mg/L')
    expect(verdictWords(turned)).toContain('not told apart yet')
  })

  it('says that it cannot say while readings are too few', () => {
    expect(verdictWords({ ...TRIAL, difference: undefined, verdict: 'TOO_FEW' })).toContain(
      'Too few readings',
    )
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

  it('refuses what is no whole number at its field', () => {
    const { errors } = toTrial({ ...emptyTrial(), firstDays: '3', otherDays: 'six', periods: '8.5' })

    expect(Object.keys(errors).sort()).toEqual(['otherDays', 'periods', 'taskId'])
  })
})

describe('the trials', () => {
  const open = (trials: Trial[]) =>
    stubServer({
      'GET /api/session': { name: 'Marit', role: 'KEEPER', demoAccounts: [] },
      'GET /api/trials': trials,
      'POST /api/trials/a/stop': 204,
    })

  it('stops a trial that runs', async () => {
    const asked = open([TRIAL])
    const { wrapper } = await mountView(TrialsView)

    await wrapper.get('article button').trigger('click')
    await settled()

    expect(asked.some((one) => one.call === 'POST /api/trials/a/stop')).toBe(true)
    expect(wrapper.findAll('.tick')).toHaveLength(2)
  })

  it('says what a trial is good for where there is none', async () => {
    open([])
    const { wrapper } = await mountView(TrialsView)

    expect(wrapper.text()).toContain('No trial yet.')
  })
})
