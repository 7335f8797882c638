import { datedDay, daysBetween, shortDay, today, type Day } from '@/shared/dates'
import type { Forethought, Trial, TrialChange, TriedWay, WatchedUnder } from './queries'

/** "every 3 days", "daily", "without it". */
export const wayWords = (days: number | undefined) =>
  days === undefined ? 'without it' : days === 1 ? 'daily' : `every ${String(days)} days`

const doneWords = (days: number | undefined) =>
  days === undefined ? wayWords(days) : `when it was done ${wayWords(days)}`

/** Two digits of a small rise, one of a large one. */
export const riseWords = (value: number, unit: string) =>
  `${value.toFixed(Math.abs(value) < 1 ? 2 : 1).replace('-', '−')} ${unit}`.trim()

const tooFew = (trial: Trial) =>
  `Too few readings of ${trial.subject.parameter.toLowerCase()} yet to compare them: each way needs some of its own.`

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
  const band = `between ${riseWords(ends[0] ?? 0, '')} and ${size(ends[1] ?? 0)}, four times in five`
  const than = slow.days === undefined ? ' than without it' : ` than ${wayWords(slow.days)}`
  const more = `${subject.parameter} rose by ${size(Math.abs(difference.perWeek))} a week more ${doneWords(fast.days)}${than} (${band}).`
  return pair.apart
    ? `${more} That is more than chance would usually make.`
    : `${more} That may as well be chance: the two are not told apart${trial.state === 'RUNNING' ? ' yet' : ''}.`
}

/** Each way against the first. */
function verdictOfMany(trial: Trial): string {
  const first = trial.ways[0]
  const told = trial.pairs
    .filter((pair) => pair.less === 0)
    .map((pair) => {
      const name = wayWords(trial.ways[pair.way]?.days)
      if (!pair.apart) return `${name} is not told apart`
      const less = pair.difference.perWeek < 0
      const share = pair.percent
        ? `${String(Math.abs(Math.round(pair.percent.perWeek)))} %`
        : riseWords(Math.abs(pair.difference.perWeek), trial.subject.unit)
      const ends = pair.percent
        ? [pair.percent.low, pair.percent.high]
            .map((end) => Math.round(less ? -end : end))
            .sort((a, b) => a - b)
        : undefined
      const band = ends ? ` (${String(ends[0])} to ${String(ends[1])} %)` : ''
      return `${name} ${share} ${less ? 'less' : 'more'}${band}`
    })
  return `${trial.subject.parameter} a week, against ${wayWords(first?.days)}: ${told.join('; ')}.`
}

/** What tanks that tried the same ways say together. */
export function togetherWords(trial: Trial): string | undefined {
  const { together } = trial
  if (!together) return undefined
  if (together.pairs.length === 0)
    return 'Begun on several tanks: they are told together once two of them have readings enough.'
  const pooled: Trial = { ...trial, pairs: together.pairs, knee: together.knee }
  return [
    `${String(together.tanks)} tanks together:`,
    pooled.ways.length === 2 ? verdictOfTwo(pooled) : verdictOfMany(pooled),
    kneeWords(pooled),
  ]
    .filter((words) => words !== undefined)
    .join(' ')
}

/** Which way is worth its work; undefined where that cannot be said, or goes without saying. */
export function kneeWords(trial: Trial): string | undefined {
  if (trial.knee === undefined || trial.ways.length < 3) return undefined
  return `${upper(wayWords(trial.ways[trial.knee]?.days))} looks worth its work: what more wins beyond that is little.`
}

export const upper = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)

/** Whether it is worth going on. */
export function outlookWords(trial: Trial): string | undefined {
  const { outlook } = trial
  if (!outlook) return undefined
  const size = `a difference of ${String(outlook.wantedPercent)} %`
  if (outlook.nothingLeft)
    return `No difference of ${String(outlook.wantedPercent)} % or more is left to find.`
  if (outlook.readings >= outlook.readingsWanted)
    return `${String(outlook.readings)} readings are enough to tell ${size}.`
  const wanted = `${String(outlook.readingsWanted)} readings tell ${size}; there are ${String(outlook.readings)}`
  if (!outlook.enoughOn) return `${wanted}.`
  return outlook.enoughOn <= trial.plan.until
    ? `${wanted}, and enough by ${datedDay(outlook.enoughOn)} at this pace.`
    : `${wanted}. This trial ends before there are enough: read more often or with a finer test, or compare ways that differ more.`
}

const MANY_TIMES = 10

/** What a trial could tell before it begins, if reading goes on as it did. */
export function forethoughtWords(ahead: Forethought, days: number): string {
  const { smallestPercent, weeksWanted, wantedPercent } = ahead
  if (smallestPercent === undefined || weeksWanted === undefined)
    return 'There are too few readings of the weeks before to say what it could tell.'
  const pace = 'Read as often as in the weeks before, it would tell'
  if (ahead.enough) return `${pace} a difference of ${String(smallestPercent)} %, four times in five.`
  const times = (weeksWanted * WEEK) / days
  const more =
    times > MANY_TIMES
      ? 'Read far more often or with a finer test, try it on more tanks, or compare ways that differ more.'
      : `For ${String(wantedPercent)} % it wants ${times.toFixed(1)} times the readings, or ${String(weeksWanted)} weeks.`
  return smallestPercent < 100
    ? `${pace} only a difference of ${String(smallestPercent)} %. ${more}`
    : `${pace} nothing. ${more}`
}

/** What the way that is done most often costs in time; undefined before all have a week. */
export function effortWords(trial: Trial): string | undefined {
  const often = [...trial.ways].sort((a, b) => timesAWeek(b) - timesAWeek(a))
  const [most, least] = [often[0], often.at(-1)]
  if (most?.minutesAWeek === undefined || least?.minutesAWeek === undefined) return undefined
  const more = most.minutesAWeek - least.minutesAWeek
  return more <= 0
    ? undefined
    : `Doing it ${wayWords(most.days)} took about ${String(Math.round(more))} minutes a week more.`
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
    const ended = trial.state === 'DONE' ? 'over' : 'stopped early'
    return `${ended}, ${String(trial.plan.periodsOver)} of ${all} periods`
  }
  const now = trial.now === undefined ? '' : `, ${wayWords(trial.ways[trial.now]?.days)} now`
  return `period ${String(trial.plan.periodsOver + 1)} of ${all}${now}`
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
  const rises = told.length ? `${one.subject.parameter} a week: ${told.join('; ')}. ` : ''
  const honest =
    'Each tank kept one way, so whether the way or the tank makes a difference cannot be told from this.'
  const swaps = one.ways.length - 1
  const offer = tanks.some((tank) => tank.plan.maySwap)
    ? ` Swap the ways, and keep the new ones as long again${swaps > 1 ? `, ${String(swaps)} times in all` : ''}: then it can.`
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
    ? ` Nothing is read yet of ${unread.map((way) => wayWords(way.days)).join(' and ')}.`
    : ''
  const when =
    trial.readBy <= today() ? `Read ${parameter} today.` : `Read ${parameter} by ${shortDay(trial.readBy)}.`
  return `${when}${of}`
}

/** "12 Apr: fed more: fry (allowed for)". */
export const changeWords = (change: TrialChange) =>
  `${datedDay(change.onDay)}: ${change.words}${change.allowedFor ? ', allowed for' : ''}`

/** What was seen of a parameter that is watched, under one way. */
export function watchedWords(seen: WatchedUnder, unit: string): string {
  if (seen.rise) return `${riseWords(seen.rise.perWeek, unit)} a week`
  if (!seen.held) return '–'
  const { low, high, mean } = seen.held
  return low === high
    ? riseWords(mean, unit)
    : `${riseWords(mean, unit)}, ${riseWords(low, '')} to ${riseWords(high, '')}`
}
