import { texts } from './texts'

/** The places of the product, in the order of the rail. */
export interface Place {
  name: string
  label: string
  /** Second key after g. */
  key: string
  /** Outline of its picture on the phone's bar, in a square of 24. */
  icon: string
}

export const PLACES: Place[] = [
  { name: 'rounds', label: texts.rounds, key: 'r', icon: 'M4 6h10M4 12h10M4 18h6M16 16l2.5 2.5L23 14' },
  { name: 'tanks', label: texts.tanks, key: 't', icon: 'M3 5v14h18V5M3 9.5c3-2 6 2 9 0s6 2 9 0' },
  { name: 'plan', label: texts.plan, key: 'p', icon: 'M4 6h16v14H4zM4 10h16M9 3v5M15 3v5' },
  { name: 'water', label: texts.water, key: 'w', icon: 'M12 3c4 5 6 8 6 11a6 6 0 0 1-12 0c0-3 2-6 6-11z' },
  { name: 'stores', label: texts.stores, key: 's', icon: 'M4 8h16v12H4zM3 4h18v4H3zM10 12h4' },
  { name: 'bench', label: texts.bench, key: 'b', icon: 'M3 10h18M6 10v10M18 10v10M8 10V5h8v5' },
  { name: 'ledger', label: texts.ledger, key: 'h', icon: 'M6 3h13v18H6a2 2 0 0 1 0-4h13M9 7h6M9 11h6' },
]

/** Those that a thumb reaches on the phone; the others wait behind More. */
export const AT_HAND = ['rounds', 'tanks', 'water']

/** What sits behind the site's name. */
export const OF_SITE = [
  { name: 'you', label: texts.youAndYourSites },
  { name: 'people', label: texts.people },
  { name: 'devices', label: texts.devices },
  { name: 'phones', label: texts.phonesInTheHouse },
  { name: 'units', label: texts.units },
  { name: 'eye', label: texts.howYouSeeDirt },
  { name: 'how', label: texts.howDatesAreLearned },
]

/** The place a path belongs to; logging is one of its own, and so is water wherever it is read. */
export function placeOf(path: string): string | undefined {
  if (path.endsWith('/log')) return 'log'
  if (/^\/water$|\/water(\/|$)/.test(path)) return 'water'
  if (path.startsWith('/trouble')) return 'bench'
  if (path === '/') return 'rounds'
  return PLACES.find((place) => path.startsWith(`/${place.name}`))?.name
}
