import { texts } from './texts'
import { datedDay, daysBetween, shortDay, today, type Day } from '@/shared/dates'
import type { Forethought, Trial, TrialChange, TriedWay, WatchedUnder } from './queries'

/** "every 3 days", "daily", "without it". */
export const wayWords = (days: number | undefined) =>
  days === undefined ? texts.withoutIt : days === 1 ? 'daily' : texts.everyDays(days)

const doneWords = (days: number | undefined) =>
  days === undefined ? wayWords(days) : texts.whenItWasDone(wayWords(days))

/** Two digits of a small rise, one of a large one. */
export const riseWords = (value: number, unit: string) =>
  `${value.toFixed(Math.abs(value) < 1 ? 2 : 1).replace('-', '−')} ${unit}`.trim()

const tooFew = (trial: Trial) => texts.tooFewReadingsOf(trial.subject.parameter.toLowerCase())

/** What the readings say so far, in a few sentences. */
export function verdictWords(trial: Trial): string {
  if (trial.pairs.length === 0) return tooFew(trial)
  return trial.ways.length === 2 ? verdictOfTwo(trial) : verdictOfMany(trial)
}

function verdictOfTwo(trial: Trial): string {
  const { subject, ways } = trial
  const pair = trial.pairs[0]
  const [less, way] = [ways[pair?.less ?? 0], ways[pair?.way ?? 1]]
  if (!pair || !less || !way) return tooFew(trial)
  const { difference } = pair
  const [slow, fast] = difference.perWeek >= 0 ? [less, way] : [way, less]
  const size = (value: number) => riseWords(value, subject.unit)
  const sign = difference.perWeek >= 0 ? 1 : -1
  const ends = [difference.low * sign, difference.high * sign].sort((a, b) => a - b)
  const band = texts.betweenAndFourTimes(riseWords(ends[0] ?? 0, ''), size(ends[1] ?? 0))
  const than = slow.days === undefined ? texts.thanWithoutIt : texts.than(wayWords(slow.days))
  const more = texts.roseByAWeek(
    subject.parameter,
    size(Math.abs(difference.perWeek)),
    doneWords(fast.days),
    than,
    band,
  )
  return pair.apart
    ? texts.thatIsMoreThan(more)
    : texts.thatMayAsWell(more, trial.state === 'RUNNING' ? ' yet' : '')
}

/** Each way against the first. */
function verdictOfMany(trial: Trial): string {
  const first = trial.ways[0]
  const told = trial.pairs
    .filter((pair) => pair.less === 0)
    .map((pair) => {
      const name = wayWords(trial.ways[pair.way]?.days)
      if (!pair.apart) return texts.isNotToldApart(name)
      const less = pair.difference.perWeek < 0
      const share = pair.percent
        ? `${String(Math.abs(Math.round(pair.percent.perWeek)))} %`
        : riseWords(Math.abs(pair.difference.perWeek), trial.subject.unit)
      const ends = pair.percent
        ? [pair.percent.low, pair.percent.high]
            .map((end) => Math.round(less ? -end : end))
            .sort((a, b) => a - b)
        : undefined
      const band = ends ? texts.to2(ends[0] ?? '', ends[1] ?? '') : ''
      return `${name} ${share} ${less ? 'less' : 'more'}${band}`
    })
  return texts.aWeekAgainst(trial.subject.parameter, wayWords(first?.days), told.join('; '))
}

/** What tanks that tried the same ways say together. */
export function togetherWords(trial: Trial): string | undefined {
  const { together } = trial
  if (!together) return undefined
  if (together.pairs.length === 0) return texts.begunOnSeveralTanks
  const pooled: Trial = { ...trial, pairs: together.pairs, knee: together.knee }
  return [
    texts.tanksTogether(together.tanks),
    pooled.ways.length === 2 ? verdictOfTwo(pooled) : verdictOfMany(pooled),
    kneeWords(pooled),
  ]
    .filter((words) => words !== undefined)
    .join(' ')
}

/** Which way is worth its work; undefined where that cannot be said, or goes without saying. */
export function kneeWords(trial: Trial): string | undefined {
  if (trial.knee === undefined || trial.ways.length < 3) return undefined
  return texts.looksWorthItsWork(upper(wayWords(trial.ways[trial.knee]?.days)))
}

export const upper = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)

/** Whether it is worth going on. */
export function outlookWords(trial: Trial): string | undefined {
  const { outlook } = trial
  if (!outlook) return undefined
  const size = texts.aDifferenceOf(outlook.wantedPercent)
  if (outlook.nothingLeft) return texts.noDifferenceOfOr(outlook.wantedPercent)
  if (outlook.readings >= outlook.readingsWanted) return texts.readingsAreEnoughTo(outlook.readings, size)
  const wanted = texts.readingsTellThereAre(outlook.readingsWanted, size, outlook.readings)
  if (!outlook.enoughOn) return `${wanted}.`
  return outlook.enoughOn <= trial.plan.until
    ? texts.andEnoughByAt(wanted, datedDay(outlook.enoughOn))
    : texts.thisTrialEndsBefore(wanted)
}

const MANY_TIMES = 10

/** What a trial could tell before it begins, if reading goes on as it did. */
export function forethoughtWords(ahead: Forethought, days: number): string {
  const { smallestPercent, weeksWanted, wantedPercent } = ahead
  if (smallestPercent === undefined || weeksWanted === undefined) return texts.thereAreTooFew
  const pace = texts.readAsOftenAs
  if (ahead.enough) return texts.aDifferenceOfFour(pace, smallestPercent)
  const times = (weeksWanted * WEEK) / days
  const more =
    times > MANY_TIMES
      ? texts.readFarMoreOften
      : texts.forItWantsTimes(wantedPercent, times.toFixed(1), weeksWanted)
  return smallestPercent < 100
    ? texts.onlyADifferenceOf(pace, smallestPercent, more)
    : texts.nothing(pace, more)
}

/** What the way that is done most often costs in time; undefined before all have a week. */
export function effortWords(trial: Trial): string | undefined {
  const often = [...trial.ways].sort((a, b) => timesAWeek(b) - timesAWeek(a))
  const [most, least] = [often[0], often.at(-1)]
  if (most?.minutesAWeek === undefined || least?.minutesAWeek === undefined) return undefined
  const more = most.minutesAWeek - least.minutesAWeek
  return more <= 0 ? undefined : texts.doingItTookAbout(wayWords(most.days), Math.round(more))
}

const WEEK = 7
export const timesAWeek = (way: TriedWay) => (way.days === undefined ? 0 : WEEK / way.days)

/** Where a day lies on the strip of a trial, 0 to 1. */
export function placeOf(trial: Trial, day: Day): number {
  const last = trial.turns.at(-1)?.until ?? day
  return Math.min(1, Math.max(0, daysBetween(trial.plan.began, day) / daysBetween(trial.plan.began, last)))
}

/** "period 6 of 8, every 3 days now". */
export function progressWords(trial: Trial): string {
  const all = String(trial.turns.length)
  if (trial.state !== 'RUNNING') {
    const ended = trial.state === 'DONE' ? 'over' : texts.stoppedEarly
    return texts.ofPeriods(ended, trial.plan.periodsOver, all)
  }
  const now = trial.now === undefined ? '' : texts.now(wayWords(trial.ways[trial.now]?.days))
  return texts.periodOf(trial.plan.periodsOver + 1, all, now)
}

/**
 * What tanks that keep one way each say, side by side; what it is worth is said with it. Undefined once each has had each way.
 *
 * @param tanks all of one trial
 */
export function sideBySideWords(tanks: Trial[]): string | undefined {
  const one = tanks[0]
  if (!one?.plan.oneEach || tanks.every((tank) => tank.pairs.length > 0)) return undefined
  const told = tanks.flatMap((tank) =>
    tank.ways.flatMap((way) =>
      way.rise
        ? [`${tank.subject.tank} ${wayWords(way.days)}: ${riseWords(way.rise.perWeek, tank.subject.unit)}`]
        : [],
    ),
  )
  const rises = told.length ? texts.aWeek(one.subject.parameter, told.join('; ')) : ''
  const honest = texts.eachTankKeptOne
  const swaps = one.ways.length - 1
  const offer = tanks.some((tank) => tank.plan.maySwap)
    ? texts.swapTheWaysAnd(swaps > 1 ? texts.timesInAll(swaps) : '')
    : ''
  return `${rises}${honest}${offer}`
}

/** All tanks of a trial that was begun on several; none of one that stands alone. */
export const groupOf = (trials: Trial[], trial: Trial) =>
  trial.together ? trials.filter((one) => one.together?.id === trial.together?.id) : []

/** What the tanks of a trial say, side by side or pooled. */
export const groupWords = (tanks: Trial[]): string | undefined =>
  sideBySideWords(tanks) ?? (tanks[0] ? togetherWords(tanks[0]) : undefined)

/** When it is to be read next; undefined when it is over. */
export function missingWords(trial: Trial): string | undefined {
  if (trial.state !== 'RUNNING' || !trial.readBy) return undefined
  const parameter = trial.subject.parameter.toLowerCase()
  const unread = trial.ways.filter((way) => way.daysLived > 0 && way.readings === 0)
  const of = unread.length
    ? texts.nothingIsReadYet(unread.map((way) => wayWords(way.days)).join(' and '))
    : ''
  const when =
    trial.readBy <= today() ? texts.readToday(parameter) : texts.readBy(parameter, shortDay(trial.readBy))
  return `${when}${of}`
}

/** "12 Apr: fed more: fry (allowed for)". */
export const changeWords = (change: TrialChange) =>
  `${datedDay(change.onDay)}: ${change.words}${change.allowedFor ? texts.allowedFor : ''}`

/** What was seen of a parameter that is watched, under one way. */
export function watchedWords(seen: WatchedUnder, unit: string): string {
  if (seen.rise) return `${riseWords(seen.rise.perWeek, unit)} a week`
  if (!seen.held) return '–'
  const { low, high, mean } = seen.held
  return low === high
    ? riseWords(mean, unit)
    : texts.to3(riseWords(mean, unit), riseWords(low, ''), riseWords(high, ''))
}
