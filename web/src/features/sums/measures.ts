import { texts } from './texts'
import { money, numberWords, typedNumber, unitOf, unitsInUse, type Quantity, type Unit } from '@/shared/units'
import type { Measure } from './queries'

/** How a measure is read and typed here: stored = shown × size + zero. */
export interface Scale extends Unit {
  /** Places after the point in an answer. */
  places: number
  /** Answers are rounded to steps of this, where that is no power of ten. */
  step?: number
}

const POUND_G = 453.59237
const OUNCES_IN_ML = 29.5735295625
const QUANTITIES: Partial<Record<Measure, Quantity>> = {
  LITRES: 'VOLUME',
  LITRES_PER_HOUR: 'FLOW',
  MILLILITRES: 'DOSE',
  MILLIMETRES: 'SIZE',
  METRES: 'LENGTH',
  CELSIUS: 'TEMPERATURE',
  GRAMS_PER_LITRE: 'SALINITY',
  MILLIGRAMS_PER_LITRE: 'CONCENTRATION',
  GRAMS: 'MASS',
}
const PLAIN: Partial<Record<Measure, [symbol: string, size: number, places: number]>> = {
  SHARE: ['%', 0.01, 0],
  PERCENT: ['%', 1, 1],
  MILLIGRAMS: ['mg', 1, 0],
  DAYS: ['days', 1, 0],
  YEARS: ['years', 1, 1],
  HOURS: ['h', 1, 1],
  MINUTES: ['min', 1, 0],
  SECONDS: ['s', 1, 1],
  WATTS: ['W', 1, 0],
  COUNT: ['', 1, 0],
  NUMBER: ['', 1, 2],
  PH: ['', 1, 2],
  SPECIFIC_GRAVITY: ['', 1, 4],
  PER_MILLE: ['‰', 1, 2],
  MILLISIEMENS_PER_CM: ['mS/cm', 1, 2],
}
/** Doses that a jug measures rather than a spoon. */
const BY_JUG = new Set(['resinMl', 'soakMl', 'bleachMl', 'waterMl', 'stockMl'])
/** Limits of a step, where what counts is the difference. */
const STEPS = new Set(['stepLimit', 'riseGL'])

const isImperial = () => unitOf('LENGTH').symbol !== 'm'
const inPounds = () => unitOf('MASS').symbol !== 'g'

/** The scale of a measure, for a field or result of a name. */
export function scaleOf(measure: Measure, name = ''): Scale {
  const volume = unitOf('VOLUME')
  switch (measure) {
    case 'KILOGRAMS':
      return inPounds() ? scale('lb', POUND_G / 1000, 1) : scale('kg', 1, 1)
    case 'KILOGRAMS_PER_LITRE':
      return inPounds() && volume.symbol !== 'L'
        ? scale(`lb/${volume.symbol}`, POUND_G / 1000 / volume.size, 1)
        : scale('kg/L', 1, 2)
    case 'KILOGRAMS_PER_100_LITRES':
      return inPounds() && volume.symbol !== 'L'
        ? scale(texts.lbPer100(volume.symbol), POUND_G / 1000 / volume.size, 1)
        : scale(texts.kgPer100L, 1, 1)
    case 'KELVIN':
      return scale(unitOf('TEMPERATURE').symbol, unitOf('TEMPERATURE').size, 1)
    case 'LITRES_PER_MINUTE':
      return scale(`${volume.symbol}/min`, volume.size, 1)
    case 'METRES_PER_SECOND':
      return isImperial() ? scale('ft/s', 0.3048, 1) : scale('m/s', 1, 1)
    case 'MONEY':
      return scale(unitsInUse.value.currency, 1, 2)
    default:
      return ofQuantity(measure, name)
  }
}

const scale = (symbol: string, size: number, places: number): Scale => ({ symbol, size, zero: 0, places })

function ofQuantity(measure: Measure, name: string): Scale {
  const quantity = QUANTITIES[measure]
  if (!quantity) {
    const [symbol, size, places] = PLAIN[measure] ?? ['', 1, 2]
    return scale(symbol, size, places)
  }
  if (quantity === 'DOSE' && BY_JUG.has(name) && isImperial()) return scale(texts.flOz, OUNCES_IN_ML, 1)
  const unit = unitOf(quantity)
  const zero = STEPS.has(name) ? 0 : unit.zero
  return { ...unit, zero, ...exactness(quantity, unit.symbol) }
}

function exactness(quantity: Quantity, symbol: string): Pick<Scale, 'places' | 'step'> {
  if (quantity === 'FLOW') return { places: 0, step: symbol === 'L/h' ? 10 : 5 }
  if (symbol === 'in') return { places: 3, step: 0.125 }
  if (symbol === 'SG') return { places: 4 }
  if (symbol === 'mm' || quantity === 'CONCENTRATION') return { places: 0 }
  return { places: quantity === 'LENGTH' ? 2 : 1 }
}

/** An answer in words, rounded as far as it means something: "63 L", "4.375 in", "12.50 EUR". */
export function tell(measure: Measure, stored: number, name = ''): string {
  if (measure === 'MONEY') return money(stored)
  const { symbol, size, zero, places, step } = scaleOf(measure, name)
  const shown = (stored - zero) / size
  const exact = step ? Math.round(shown / step) * step : shown
  const digits = measure === 'LITRES' && symbol === 'L' && Math.abs(shown) >= 10 ? 0 : places
  const number = numberWords(small(exact, shown), finer(shown, digits))
  if (symbol === '') return number
  return measure === 'DAYS' && number === '1' ? '1 day' : `${number} ${symbol}`
}

/** A step that would leave nothing of a small value leaves it as it is. */
const small = (exact: number, shown: number) => (exact === 0 && shown !== 0 ? shown : exact)

/** What is under one is told to two digits that count. */
const finer = (shown: number, places: number) =>
  shown !== 0 && Math.abs(shown) < 1
    ? Math.max(places, Math.min(4, 1 - Math.floor(Math.log10(Math.abs(shown)))))
    : places

/** A stored value as it stands in a field. */
export function fieldOf(scale: Scale, stored: unknown, digits = 6): string {
  if (typeof stored !== 'number') return ''
  const text = String(Number(((stored - scale.zero) / scale.size).toPrecision(digits)))
  return unitsInUse.value.decimalSign === 'COMMA' ? text.replace('.', ',') : text
}

/** What was typed, as it is stored; undefined for nothing, NaN for what is no number. */
export function storedOf(scale: Scale, typed: string): number | undefined {
  const value = typedNumber(typed)
  return value === undefined ? undefined : Number((value * scale.size + scale.zero).toPrecision(12))
}
