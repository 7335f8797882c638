import { texts } from './texts'
import type { Schemas } from './api/client'
import { daysBetween, shortDay, type Day, type Window } from './dates'

export type Standing = Schemas['ForecastView']['standing']

/** Most pressing last, so that the largest wins. */
const ORDER: Standing[] = ['LATER', 'OPEN', 'DUE', 'LATE']

export function worst(standings: Standing[]): Standing {
  return standings.reduce<Standing>((a, b) => (ORDER.indexOf(b) > ORDER.indexOf(a) ? b : a), 'LATER')
}

/** Days beyond which nobody counts: the part is overdue, and by how much says nothing more. */
const COUNTED_DAYS = 60

/** "2 days overdue", or that it is, where counting would say nothing more. */
export const overdueWords = (days: number) =>
  days > COUNTED_DAYS ? 'overdue' : texts.dayOverdue(days, days === 1 ? '' : 's')

/** A window in a word or two: "2 days overdue", "due", "fine to do now", "from 13 Dec". */
export function standingWords(standing: Standing, window: Window, now: Day): string {
  switch (standing) {
    case 'LATE': {
      const days = daysBetween(window.latest, now)
      return overdueWords(days)
    }
    case 'DUE':
      return 'due'
    case 'OPEN':
      return texts.fineToDoNow
    case 'LATER':
      return texts.from(shortDay(window.earliest, now))
  }
}
