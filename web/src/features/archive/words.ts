import type { Bringing } from './queries'

type Kind = Bringing['counts'][number]['what']

/** What people count, in the order it is told; the rest are their details. */
const TOLD: [Kind, string, string][] = [
  ['TANK', 'tank', 'tanks'],
  ['FILTER', 'filter', 'filters'],
  ['SERVICE', 'service', 'services'],
  ['PHOTO', 'photo', 'photos'],
  ['READING', 'reading', 'readings'],
  ['WATER_CHANGE', 'water change', 'water changes'],
  ['CHORE_DONE', 'chore done', 'chores done'],
  ['TRIAL', 'trial', 'trials'],
  ['TROUBLE_CASE', 'trouble case', 'trouble cases'],
  ['STOCK_ITEM', 'store item', 'store items'],
]

export interface Told {
  what: Kind
  words: string
  brought: number
  there: number
}

/** What comes in, in words, with what is there already. */
export function told(bringing: Bringing): Told[] {
  return TOLD.flatMap(([what, one, many]) => {
    const count = bringing.counts.find((each) => each.what === what)
    if (!count) return []
    const number = count.brought || count.there
    return [{ what, words: number === 1 ? one : many, brought: count.brought, there: count.there }]
  })
}

/** Everything new, details too. */
export const allNew = (bringing: Bringing) => bringing.counts.reduce((sum, one) => sum + one.brought, 0)

/** How a tank of an archive stands here. */
export const STANDING: Record<Bringing['tanks'][number]['standing'], string> = {
  NEW: '',
  HERE: 'here already: what is new in its log comes in, its settings stay',
  DELETED_HERE: 'deleted here: it comes back',
}

/** What a tank of an archive holds. */
export function holds(tank: Bringing['tanks'][number]): string {
  const parts = [
    counted(tank.services, 'service', 'services'),
    counted(tank.readings, 'reading', 'readings'),
    counted(tank.photos, 'photo', 'photos'),
  ].filter(Boolean)
  return parts.join(', ') || 'no log'
}

const counted = (number: number, one: string, many: string) =>
  number === 0 ? '' : `${String(number)} ${number === 1 ? one : many}`
