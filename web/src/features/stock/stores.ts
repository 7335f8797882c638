import { texts } from './texts'
import { daysBetween, shortDay, today, type Day } from '@/shared/dates'
import { typedNumber } from '@/shared/units'
import { lowerFirst } from '@/shared/words'
import type { StockItem, StockItemInput, StockMove, Stores, Supply } from './queries'

type Unit = StockItemInput['unit']

export const UNITS: { value: Unit; label: string; short: string }[] = [
  { value: 'PIECE', label: texts.pieces, short: '' },
  { value: 'GRAM', label: texts.grams, short: 'g' },
  { value: 'MILLILITRE', label: texts.millilitres, short: 'mL' },
  { value: 'METRE', label: texts.metres, short: 'm' },
]
const NUMBER = new Intl.NumberFormat('en-GB', { maximumFractionDigits: 1 })

/** "4", "250 g". */
export function amountWords(amount: number, unit: Unit): string {
  const short = UNITS.find((one) => one.value === unit)?.short ?? ''
  return short ? `${NUMBER.format(amount)} ${short}` : NUMBER.format(amount)
}

export type Mark = 'out' | 'low' | 'enough' | 'uncounted'

export function markOf(item: StockItem): Mark {
  const standing = item.outlook?.standing
  if (!standing) return 'uncounted'
  return standing === 'OUT' ? 'out' : standing === 'LOW' ? 'low' : 'enough'
}

export const MARK_WORDS: Record<Mark, string> = {
  out: texts.noneLeft,
  low: texts.runningLow,
  enough: 'Enough',
  uncounted: texts.notCountedYet,
}

/** "Running low", or that nobody can know before it is counted again. */
export const shelfWords = (item: StockItem): string =>
  item.shelf?.unsure ? texts.moreWasUsedThan : MARK_WORDS[markOf(item)]

/** What the stores come to in one sentence: what to order, and how long the rest lasts. */
export function inShort(stores: Stores, now: Day = today()): string {
  const pressing = stores.items.filter((item) => ['out', 'low'].includes(markOf(item)))
  const next = stores.items
    .filter((item) => markOf(item) === 'enough' && !item.item.turned && item.outlook?.runsOut)
    .map((item) => ({ name: item.item.name, on: item.outlook?.runsOut ?? now }))
    .sort((a, b) => a.on.localeCompare(b.on))[0]
  const names = (turned: boolean) =>
    pressing.filter((item) => item.item.turned === turned).map((item) => item.item.name)
  const wash = names(true).length ? texts.toWash(names(true).join(', ')) : ''
  const order = (names(false).length ? texts.toOrder(names(false).join(', ')) : texts.nothingToOrder) + wash
  return next ? texts.ofTheRestRuns(order, next.name, shortDay(next.on, now)) : order
}

/** Weeks that the line of a shelf shows. */
export const LINE_WEEKS = 26

/** Where a shelf's line ends and its order mark stands, 0 to 1 over the weeks shown; 1 means beyond. */
export function lineOf(item: StockItem, now: Day = today()): { end: number; order?: number } | undefined {
  if (!item.outlook) return undefined
  const share = (day: Day) => Math.min(1, Math.max(0, daysBetween(now, day) / (LINE_WEEKS * 7)))
  const { runsOut, orderBy } = item.outlook
  const shown = orderBy && !item.item.turned && daysBetween(now, orderBy) < LINE_WEEKS * 7
  const order = shown ? share(orderBy) : undefined
  return { end: runsOut ? share(runsOut) : 1, order }
}

/** "lasts until 3 Mar, order by 20 Feb". */
export function lastsWords(item: StockItem, now: Day = today()): string {
  if (!item.outlook) return texts.countItOnceAnd
  const { runsOut, orderBy } = item.outlook
  if (item.item.kit) return texts.openOneWhenIts
  if (!runsOut) return item.use.next ? texts.lastsMoreThanTwo : texts.nothingUsesIt
  if (daysBetween(now, runsOut) <= 0) return texts.neededTodayNotEnough
  if (item.item.turned) return texts.cleanOnesLastUntil(shortDay(runsOut, now))
  const order =
    !orderBy || daysBetween(now, orderBy) <= 0 ? texts.orderNow : texts.orderBy(shortDay(orderBy, now))
  return texts.lastsUntil(shortDay(runsOut, now), order)
}

/** "Fits Weir. Creek and Lagoon use all of it but seal rings, 60 mm." */
export function fitWords({ fits }: StockItem): string {
  if (!fits.length) return texts.noFilterHereUses
  const byLack = new Map<string, string[]>()
  for (const { filter, lacks } of fits) {
    const lack = listed(lacks.map(lowerFirst))
    byLack.set(lack, [...(byLack.get(lack) ?? []), filter])
  }
  const whole = byLack.get('')
  byLack.delete('')
  const partly = [...byLack].map(([lack, filters]) =>
    texts.allOfItBut(listed(filters), filters.length > 1 ? 'use' : 'uses', lack),
  )
  return [...(whole ? [texts.fits(listed(whole))] : []), ...partly].join(' ')
}

/** "Weir, Creek and Lagoon" */
const listed = (words: string[]) =>
  words.length > 1 ? texts.and(words.slice(0, -1).join(', '), words.at(-1) ?? '') : (words[0] ?? '')

export const KIND_WORDS: Record<StockMove['kind'], string> = {
  COUNTED: 'counted',
  BOUGHT: 'bought',
  USED: texts.usedAtAService,
  WASHED: 'washed',
  LOST: texts.goneOtherwise,
  OPENED: 'opened',
}

/** An item as its fields hold it. */
export interface ItemForm {
  name: string
  unit: Unit
  turned: boolean
  amountPerUse: string
  reorderAt: string
  leadDays: string
  washEveryDays: string
  price: string
  /** What it holds, if it is a kit. */
  kit: KitLineForm[]
}

/** A part of a kit; its count as typed. */
export interface KitLineForm {
  key: number
  name: string
  count: string
}

let nextKey = 1
export const newKitLine = (): KitLineForm => ({ key: nextKey++, name: '', count: '1' })

export function emptyForm(supply?: Supply): ItemForm {
  return {
    name: supply?.name ?? '',
    unit: 'PIECE',
    turned: supply?.turned ?? false,
    amountPerUse: '1',
    reorderAt: '2',
    leadDays: '7',
    washEveryDays: '7',
    price: '',
    kit: [],
  }
}

export function formOf({ item }: StockItem): ItemForm {
  return {
    name: item.name,
    unit: item.unit,
    turned: item.turned,
    amountPerUse: String(item.amountPerUse),
    reorderAt: String(item.reorderAt),
    leadDays: String(item.leadDays),
    washEveryDays: String(item.washEveryDays ?? 7),
    price: item.price === undefined ? '' : String(item.price),
    kit: (item.kit ?? []).map((line) => ({ key: nextKey++, name: line.name, count: String(line.count) })),
  }
}

/** What was typed as a request, with what is no number told by field. */
export function toItem(form: ItemForm): { item: StockItemInput; errors: Record<string, string> } {
  const errors: Record<string, string> = {}
  const read = (field: 'amountPerUse' | 'reorderAt' | 'leadDays' | 'washEveryDays') => {
    const value = typedNumber(form[field])
    const whole = field === 'leadDays' || field === 'washEveryDays'
    if (value === undefined || Number.isNaN(value)) errors[field] = texts.thisIsNotA
    else if (whole && !Number.isInteger(value)) errors[field] = texts.aWholeNumberOf
    return value ?? 0
  }
  const price = typedNumber(form.price)
  if (Number.isNaN(price)) errors.price = texts.thisIsNotA
  const kit = form.kit.map((line, i) => {
    const count = typedNumber(line.count)
    if (count === undefined || Number.isNaN(count)) errors[`kit[${String(i)}].count`] = texts.howMany
    return { name: line.name.trim(), count: count ?? 0 }
  })
  const item = {
    kit: kit.length ? kit : undefined,
    name: form.name.trim(),
    unit: form.unit,
    turned: form.turned,
    amountPerUse: read('amountPerUse'),
    reorderAt: read('reorderAt'),
    leadDays: read('leadDays'),
    washEveryDays: form.turned ? read('washEveryDays') : undefined,
    price,
  }
  return { item, errors }
}
