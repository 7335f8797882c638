import { daysBetween, today, type Day } from '@/shared/dates'
import { typedNumber } from '@/shared/units'
import type { Trial, TrialInput, TriedWay } from './queries'

type Way = TriedWay['way']

/** "every 3 days", "daily". */
export const everyWords = (days: number) => (days === 1 ? 'daily' : `every ${String(days)} days`)

export const wayOf = (trial: Trial, way: Way): TriedWay | undefined =>
  trial.ways.find((one) => one.way === way)

/** Two digits of a small rise, one of a large one. */
export const riseWords = (value: number, unit: string) =>
  `${value.toFixed(Math.abs(value) < 1 ? 2 : 1).replace('-', '−')} ${unit}`.trim()

/** What the readings say so far, in one or two sentences. */
export function verdictWords(trial: Trial): string {
  const first = wayOf(trial, 'FIRST')
  const other = wayOf(trial, 'OTHER')
  const { difference, subject } = trial
  if (!first || !other || !difference)
    return `Too few readings of ${subject.parameter.toLowerCase()} yet to compare the two: each way needs some of its own.`
  const [slow, fast] = difference.perWeek >= 0 ? [first, other] : [other, first]
  const size = (value: number) => riseWords(value, subject.unit)
  const sign = difference.perWeek >= 0 ? 1 : -1
  const ends = [difference.low * sign, difference.high * sign].sort((a, b) => a - b)
  const band = `between ${riseWords(ends[0] ?? 0, '')} and ${size(ends[1] ?? 0)}, four times in five`
  const more = `${subject.parameter} rose by ${size(Math.abs(difference.perWeek))} a week more when it was done ${everyWords(fast.days)} than ${everyWords(slow.days)} (${band}).`
  return trial.verdict === 'NOT_TOLD_APART'
    ? `${more} That may as well be chance: the two are not told apart${trial.state === 'RUNNING' ? ' yet' : ''}.`
    : `${more} That is more than chance would usually make.`
}

/** What the way that is done more often costs in time; undefined before both have a week. */
export function effortWords(trial: Trial): string | undefined {
  const [often, seldom] = [...trial.ways].sort((a, b) => a.days - b.days)
  if (often?.minutesAWeek === undefined || seldom?.minutesAWeek === undefined) return undefined
  const more = often.minutesAWeek - seldom.minutesAWeek
  return more <= 0
    ? undefined
    : `Doing it ${everyWords(often.days)} took about ${String(Math.round(more))} minutes a week more.`
}

/** Where a day lies on the strip of a trial, 0 to 1. */
export function placeOf(trial: Trial, day: Day): number {
  const last = trial.turns.at(-1)?.until ?? day
  return Math.min(1, Math.max(0, daysBetween(trial.plan.began, day) / daysBetween(trial.plan.began, last)))
}

/** "period 6 of 8, every 3 days now". */
export function progressWords(trial: Trial): string {
  const all = String(trial.turns.length)
  if (trial.state !== 'RUNNING') {
    const ended = trial.state === 'DONE' ? 'over' : 'stopped early'
    return `${ended}, ${String(trial.plan.periodsOver)} of ${all} periods`
  }
  const now = trial.now ? wayOf(trial, trial.now) : undefined
  return `period ${String(trial.plan.periodsOver + 1)} of ${all}, ${now ? everyWords(now.days) : ''} now`
}

/** A trial as its fields hold it. */
export interface TrialForm {
  tank: string
  task: string
  parameter: 'NITRATE' | 'PHOSPHATE'
  firstDays: string
  otherDays: string
  periodDays: string
  periods: string
}

export const emptyTrial = (): TrialForm => ({
  tank: '',
  task: '',
  parameter: 'NITRATE',
  firstDays: '',
  otherDays: '',
  periodDays: '14',
  periods: '8',
})

/** What was typed as a request, with what is amiss by field. */
export function toTrial(
  form: TrialForm,
  began: Day = today(),
): { input: TrialInput; errors: Record<string, string> } {
  const errors: Record<string, string> = {}
  const whole = (field: 'firstDays' | 'otherDays' | 'periodDays' | 'periods') => {
    const value = typedNumber(form[field])
    if (value === undefined || !Number.isInteger(value)) errors[field] = 'A whole number.'
    return value ?? 0
  }
  if (!form.task) errors.taskId = 'Which task?'
  const input: TrialInput = {
    taskId: Number(form.task),
    parameter: form.parameter,
    began,
    firstDays: whole('firstDays'),
    otherDays: whole('otherDays'),
    periodDays: whole('periodDays'),
    periods: whole('periods'),
  }
  return { input, errors }
}
