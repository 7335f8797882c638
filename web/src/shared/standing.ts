import type { Schemas } from './api/client'
import { daysBetween, shortDay, type Day, type Window } from './dates'

export type Standing = Schemas['ForecastView']['standing']

/** Most pressing last, so that the largest wins. */
const ORDER: Standing[] = ['LATER', 'OPEN', 'DUE', 'LATE']

export function worst(standings: Standing[]): Standing {
  return standings.reduce<Standing>((a, b) => (ORDER.indexOf(b) > ORDER.indexOf(a) ? b : a), 'LATER')
}

/** A window in a word or two: "2 days late", "due", "may be done", "from 13 Dec". */
export function standingWords(standing: Standing, window: Window, now: Day): string {
  switch (standing) {
    case 'LATE': {
      const days = daysBetween(window.latest, now)
      return `${String(days)} day${days === 1 ? '' : 's'} late`
    }
    case 'DUE':
      return 'due'
    case 'OPEN':
      return 'may be done'
    case 'LATER':
      return `from ${shortDay(window.earliest, now)}`
  }
}
