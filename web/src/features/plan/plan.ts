import { texts } from './texts'
import { addDays, daysBetween, type Day } from '@/shared/dates'
import { lowerFirst } from '@/shared/words'
import type { DayPrice, PlanDay, PlanItem, PlannedVisit } from './queries'

/** A day of the grid; those outside the plan have no minutes. */
export interface Cell {
  on: Day
  day?: PlanDay
  visits: PlannedVisit[]
}

const MONDAY_BASE = '2024-01-01'

/** Days since the last Monday, 0 to 6. */
export const afterMonday = (day: Day): number => ((daysBetween(MONDAY_BASE, day) % 7) + 7) % 7

/** Weeks from Monday to Sunday that hold all days of a plan, each with its visits. */
export function weeksOf(days: PlanDay[], visits: PlannedVisit[]): Cell[][] {
  const first = days[0]?.on
  const last = days.at(-1)?.on
  if (first === undefined || last === undefined) return []
  const byDay = new Map(days.map((day) => [day.on, day]))
  const start = addDays(first, -afterMonday(first))
  const weeks = Math.floor(daysBetween(start, last) / 7) + 1
  return Array.from({ length: weeks }, (_, week) =>
    Array.from({ length: 7 }, (_, weekday) => {
      const on = addDays(start, 7 * week + weekday)
      return { on, day: byDay.get(on), visits: visits.filter((visit) => visit.on === on) }
    }),
  )
}

/** Minutes that people have on a day. */
export const capacity = (day: PlanDay): number => day.keeperMinutes + day.helperMinutes

/** The occurrences of a visit, or some of them. */
export const itemsOf = (visit: PlannedVisit, chains?: number[]): PlanItem[] =>
  visit.tasks
    .filter((task) => chains === undefined || chains.includes(task.chain))
    .map((task) => ({ chain: task.chain, on: visit.on }))

/** "+9 min", "−3 min", "same", or "breaks a rule". */
export function costWords(price: DayPrice): string {
  if (price.breaksRules) return texts.breaksARule
  const minutes = Math.round(price.minutesDearer)
  if (minutes === 0) return 'same'
  return texts.min2(minutes > 0 ? '+' : '−', Math.abs(minutes))
}

/** "1 h 25 min". */
export function hoursWords(minutes: number): string {
  const hours = Math.floor(minutes / 60)
  const rest = minutes % 60
  if (hours === 0) return texts.min3(rest)
  return rest === 0 ? `${String(hours)} h` : texts.hMin(hours, rest)
}

/** "rinse the pre-filter, water change" for one or two tasks, else a count. */
export const workWords = (visit: PlannedVisit): string =>
  visit.tasks.length > 2
    ? texts.tasks(visit.tasks.length)
    : visit.tasks.map((task) => lowerFirst(task.name)).join(', ')

export const isPinned = (visit: PlannedVisit): boolean => visit.tasks.some((task) => task.pinned)

/** Share of the strip that a day's name takes up on a phone. */
const NAME = 0.16

/** Days whose names stand under the strip: the first, and the first of each month; none where it would run into the next. */
export function marked(days: string[]): Set<string> {
  const months = days.filter((day, i) => day.endsWith('-01') && i <= days.length * (1 - NAME))
  const next = days.indexOf(months[0] ?? '')
  const free = next < 0 || next >= days.length * NAME
  return new Set(free ? [...days.slice(0, 1), ...months] : months)
}

/** Something drawn as wide as high around a place on a line. */
export interface Spot {
  at: number
  size: number
}

/** The first lane in which each spot covers none before it; spots come from left to right. */
export function lanes(spots: Spot[]): number[] {
  const ends: number[] = []
  return spots.map(({ at, size }) => {
    const free = ends.findIndex((end) => end <= at - size / 2)
    const lane = free < 0 ? ends.length : free
    ends[lane] = at + size / 2
    return lane
  })
}
