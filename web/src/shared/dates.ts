import { computed } from 'vue'
import { unitsInUse } from './units'

const DAY_MS = 86_400_000
/** Words of a day in the site's order: "13 Nov", or "Nov 13" where the month comes first. */
const written = computed(() => {
  const locale = unitsInUse.value.dateOrder === 'MONTH_FIRST' ? 'en-US' : 'en-GB'
  const format = (options: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat(locale, options)
  return {
    long: format({ weekday: 'long', day: 'numeric', month: 'long' }),
    short: format({ day: 'numeric', month: 'short' }),
    withYear: format({ day: 'numeric', month: 'short', year: 'numeric' }),
    weekday: format({ weekday: 'short' }),
    moment: format({ dateStyle: 'medium', timeStyle: 'short' }),
  }
})

/** A day as the API writes it: yyyy-mm-dd. */
export type Day = string

export interface Window {
  earliest: Day
  ideal: Day
  latest: Day
}

const ORDERS = { DAY_FIRST: 'D/M/YYYY', MONTH_FIRST: 'M/D/YYYY', YEAR_FIRST: 'YYYY-M-D' }

/** How a day is typed and shown in a field; a nought before a digit may be left out. */
export const dayFormat = computed(() => ORDERS[unitsInUse.value.dateOrder])

/** Midnight of a day where the browser is. */
export function parse(day: Day): Date {
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

export const longDay = (day: Day) => written.value.long.format(parse(day))
/** With its year: "12 Mar 2023". */
export const datedDay = (day: Day) => written.value.withYear.format(parse(day))
/** A moment where the browser is: "13 Nov 2026, 18:30". */
export const momentWords = (moment: string) => written.value.moment.format(new Date(moment))
export const weekday = (day: Day) => written.value.weekday.format(parse(day))

const YEAR_NEEDED_DAYS = 300

/** "13 Nov", with the year once the month alone could be taken for another. */
export function shortDay(day: Day, reference: Day = today()): string {
  const far = Math.abs(daysBetween(reference, day)) > YEAR_NEEDED_DAYS
  return (far ? written.value.withYear : written.value.short).format(parse(day))
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

/** "between 5 Dec and 12 Dec", or "on 17 Dec" where it is one day. */
export function betweenWords(window: Window, at: Day = today()): string {
  const words = windowWords(window, at)
  if (window.earliest === window.latest) return `on ${words}`
  const [from, to] = words.split(' to ')
  return from && to ? `between ${from} and ${to}` : words
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
