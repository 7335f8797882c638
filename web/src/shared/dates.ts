const DAY_MS = 86_400_000
const LONG = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long' })
const SHORT = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' })
const WITH_YEAR = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })
const WEEKDAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short' })

/** A day as the API writes it: yyyy-mm-dd. */
export type Day = string

export interface Window {
  earliest: Day
  ideal: Day
  latest: Day
}

function parse(day: Day): Date {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number)
  return new Date(year, month - 1, date)
}

/** Today where the browser is. */
export function today(now: Date = new Date()): Day {
  const pad = (part: number) => String(part).padStart(2, '0')
  return `${String(now.getFullYear())}-${pad(now.getMonth() + 1)}-${pad(now.getDate())}`
}

/** Whole days from one day to another, below zero if the second is earlier. */
export function daysBetween(from: Day, to: Day): number {
  return Math.round((parse(to).getTime() - parse(from).getTime()) / DAY_MS)
}

export const longDay = (day: Day) => LONG.format(parse(day))
export const weekday = (day: Day) => WEEKDAY.format(parse(day))

const YEAR_NEEDED_DAYS = 300

/** "13 Nov", with the year once the month alone could be taken for another. */
export function shortDay(day: Day, reference: Day = today()): string {
  const far = Math.abs(daysBetween(reference, day)) > YEAR_NEEDED_DAYS
  return (far ? WITH_YEAR : SHORT).format(parse(day))
}

/** No part is left alone for longer, so only what stands still lies so far ahead. */
const FAR_DAYS = 5 * 365

/** "19 Nov to 4 Dec"; a window, never a bare date. */
export function windowWords(window: Window, at: Day = today()): string {
  if (daysBetween(at, window.earliest) > FAR_DAYS) return 'not for years'
  return window.earliest === window.latest
    ? shortDay(window.ideal)
    : `${shortDay(window.earliest)} to ${shortDay(window.latest)}`
}

/** "3 years", "5 months", "12 days": how long ago a day is. */
export function ageWords(since: Day, at: Day = today()): string {
  const days = daysBetween(since, at)
  const count = (n: number, unit: string) => `${String(n)} ${unit}${n === 1 ? '' : 's'}`
  if (days < 60) return count(Math.max(days, 0), 'day')
  return days < 730 ? count(Math.floor(days / 30.44), 'month') : count(Math.floor(days / 365.25), 'year')
}

/** The day so many days later, earlier if below zero. */
export function addDays(day: Day, days: number): Day {
  const date = parse(day)
  date.setDate(date.getDate() + days)
  return today(date)
}

/** "today", "3 days ago". */
export const agoWords = (since: Day, at: Day = today()): string =>
  daysBetween(since, at) <= 0 ? 'today' : `${ageWords(since, at)} ago`
