import { texts } from './texts'
import { today, type Day } from '@/shared/dates'
import { typedNumber } from '@/shared/units'
import type { Schemas } from '@/shared/api/client'
import type { Trial, TrialInput } from './queries'

/** A way as its field holds it. */
export interface WayForm {
  days: string
  without: boolean
}

/** A trial as its fields hold it. */
export interface TrialForm {
  tank: string
  task: string
  parameter: 'NITRATE' | 'PHOSPHATE'
  ways: WayForm[]
  periodDays: string
  /** How often each way has its turn. */
  turns: number
  /** The same task on other tanks. */
  also: number[]
  /** Whether each tank has all ways in turn, or keeps one of them. */
  layout: 'TURNS' | 'EACH'
  began: Day
  watched: Watched[]
}

/** What can be watched beside what is compared. */
export type Watched = NonNullable<Schemas['TrialInput']['watched']>[number]

export const MOST_WAYS = 5
export const TURNS = [2, 4, 6, 8]
/** Periods a tank keeps its one way. */
export const STRETCHES = [4, 6, 8, 12]
const MOST_PERIODS = 40

export const emptyWay = (): WayForm => ({ days: '', without: false })

export const emptyTrial = (): TrialForm => ({
  tank: '',
  task: '',
  parameter: 'NITRATE',
  ways: [emptyWay(), emptyWay()],
  periodDays: '14',
  turns: 4,
  also: [],
  layout: 'TURNS',
  began: today(),
  watched: [],
})

/** Whether each tank would keep one way: for that it takes tanks enough. */
export const keepsOneEach = (form: TrialForm) => form.layout === 'EACH' && form.also.length > 0

/** How many days it takes; undefined while that is not typed. */
export function daysOf(form: TrialForm): number | undefined {
  const days = Number(form.periodDays) * form.turns * (keepsOneEach(form) ? 1 : form.ways.length)
  return Number.isInteger(days) && days > 0 ? days : undefined
}

/** What was typed as a request, with what is amiss by field. */
export function toTrial(
  form: TrialForm,
  began: Day = form.began,
): { input: TrialInput; errors: Record<string, string> } {
  const errors: Record<string, string> = {}
  const whole = (field: string, typed: string) => {
    const value = typedNumber(typed)
    if (value === undefined || !Number.isInteger(value)) errors[field] = texts.aWholeNumber
    return value ?? 0
  }
  if (!form.task) errors.taskId = texts.whichTask
  const input: TrialInput = {
    taskId: Number(form.task),
    parameter: form.parameter,
    began,
    ways: form.ways.map((way, i) => {
      if (way.without) return 0
      const days = whole(`ways[${String(i)}]`, way.days)
      if (days < 1) errors[`ways[${String(i)}]`] ??= texts.atLeast1Day
      return days
    }),
    periodDays: whole('periodDays', form.periodDays),
    periods: keepsOneEach(form) ? form.turns : Math.min(MOST_PERIODS, form.turns * form.ways.length),
    alsoTaskIds: form.also.length ? form.also : undefined,
    oneEach: keepsOneEach(form) ? true : undefined,
    watched: form.watched.length ? form.watched.filter((one) => one !== form.parameter) : undefined,
  }
  return { input, errors }
}

/** A trial as a form, to be tried once more. */
export const fromTrial = (trial: Trial): TrialForm => ({
  ...emptyTrial(),
  tank: String(trial.subject.tankId),
  task: String(trial.subject.taskId),
  parameter: trial.subject.parameter === 'Phosphate' ? 'PHOSPHATE' : 'NITRATE',
  ways: trial.ways.map((way) => ({
    days: way.days === undefined ? '' : String(way.days),
    without: way.days === undefined,
  })),
  periodDays: String(trial.plan.periodDays),
  turns: trial.plan.oneEach ? (STRETCHES[0] ?? 4) : trial.turns.length / trial.ways.length,
  layout: trial.plan.oneEach ? 'EACH' : 'TURNS',
})
