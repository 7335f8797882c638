import { computed, shallowRef } from 'vue'
import vocabulary from '../generated/vocabulary.json'
import type { components } from '../generated/api'

type Schemas = components['schemas']

export type SiteUnits = Schemas['SiteUnits']
type UnitName = SiteUnits['volume']
export type Quantity = Schemas['UnitWord']['quantity']

/** A unit: a stored value is `size` times the shown one, plus `zero`. */
export interface Unit {
  symbol: string
  size: number
  zero: number
}

const UNITS = new Map((vocabulary as unknown as Schemas['Vocabulary']).units.map((word) => [word.unit, word]))

function unitNamed(name: UnitName): Unit {
  const unit = UNITS.get(name)
  if (!unit) throw new Error(`no unit ${name}`)
  return unit
}

export type System = 'METRIC' | 'US' | 'UK'

/** What keepers of a country read; each can be changed alone. */
export const SYSTEMS: Record<System, SiteUnits> = {
  METRIC: {
    volume: 'LITRE',
    mass: 'GRAM',
    length: 'METRE',
    dose: 'MILLILITRE',
    temperature: 'CELSIUS',
    concentration: 'MG_PER_L',
    hardness: 'DH',
    salinity: 'G_PER_L',
    dateOrder: 'DAY_FIRST',
    weekStart: 'MONDAY',
    decimalSign: 'POINT',
    currency: 'EUR',
  },
  US: {
    volume: 'US_GALLON',
    mass: 'OUNCE',
    length: 'FOOT',
    dose: 'US_TEASPOON',
    temperature: 'FAHRENHEIT',
    concentration: 'PPM',
    hardness: 'PPM_CACO3',
    salinity: 'SPECIFIC_GRAVITY',
    dateOrder: 'MONTH_FIRST',
    weekStart: 'SUNDAY',
    decimalSign: 'POINT',
    currency: 'USD',
  },
  UK: {
    volume: 'UK_GALLON',
    mass: 'GRAM',
    length: 'METRE',
    dose: 'MILLILITRE',
    temperature: 'CELSIUS',
    concentration: 'PPM',
    hardness: 'DH',
    salinity: 'SPECIFIC_GRAVITY',
    dateOrder: 'DAY_FIRST',
    weekStart: 'MONDAY',
    decimalSign: 'POINT',
    currency: 'GBP',
  },
}

/** Languages whose readers put a comma before what is less than one. */
const COMMA = /^(de|fr|es|it|nl|pl|pt|sv|da|nb|no|fi|cs|ru|tr|el|hu|ro|bg|hr|sk|sl|uk|id|vi)\b/

/** What a browser's language speaks for. */
export function proposed(language: string): { system: System; units: SiteUnits } {
  const system = language === 'en-US' ? 'US' : language === 'en-GB' ? 'UK' : 'METRIC'
  const units = SYSTEMS[system]
  return { system, units: COMMA.test(language) ? { ...units, decimalSign: 'COMMA' } : units }
}

const inUse = shallowRef<SiteUnits>(SYSTEMS.METRIC)

/** The units of the site that is open. */
export const unitsInUse = computed(() => inUse.value)

/** Set once the session is known, and whenever it is another; what one kept here before lacks is metric. */
export function useUnitsOf(units: Partial<SiteUnits> | undefined) {
  inUse.value = { ...SYSTEMS.METRIC, ...units }
}

const FLOW: Partial<Record<UnitName, UnitName>> = {
  US_GALLON: 'US_GALLONS_AN_HOUR',
  UK_GALLON: 'UK_GALLONS_AN_HOUR',
}

/** The unit in which a quantity is read and typed here. */
export function unitOf(quantity: Quantity, units: SiteUnits = inUse.value): Unit {
  const names: Record<Quantity, UnitName> = {
    VOLUME: units.volume,
    FLOW: FLOW[units.volume] ?? 'LITRES_AN_HOUR',
    MASS: units.mass,
    LENGTH: units.length,
    SIZE: units.length === 'FOOT' ? 'INCH' : 'MILLIMETRE',
    DOSE: units.dose,
    TEMPERATURE: units.temperature,
    CONCENTRATION: units.concentration,
    HARDNESS: units.hardness,
    SALINITY: units.salinity,
  }
  return unitNamed(names[quantity])
}

export const shownIn = (unit: Unit, stored: number) => (stored - unit.zero) / unit.size
export const storedFrom = (unit: Unit, shown: number) => shown * unit.size + unit.zero

/** A number as this site writes it, "1,510" or "1.510". */
export function numberWords(value: number, digits = 1): string {
  const locale = inUse.value.decimalSign === 'COMMA' ? 'de-DE' : 'en-GB'
  return new Intl.NumberFormat(locale, { maximumFractionDigits: digits }).format(value)
}

/** A number with a unit of its own, "15 min". */
export function withUnit(value: number, unit: string): string {
  return `${numberWords(value)} ${unit}`
}

/** Whole from a hundred on; below it as many places as three digits leave. */
const places = (value: number) => (Math.abs(value) >= 100 ? 0 : Math.abs(value) >= 10 ? 1 : 2)

/** An amount of money in the site's currency, "€12.50". */
export function money(amount: number): string {
  const { currency, decimalSign } = inUse.value
  const locale = decimalSign === 'COMMA' ? 'de-DE' : 'en-GB'
  return new Intl.NumberFormat(locale, { style: 'currency', currency }).format(amount)
}

/** A shown value as this site writes it: three digits that count; specific gravity has three places. */
export const plain = (value: number, symbol = '') => numberWords(value, symbol === 'SG' ? 3 : places(value))

/** A stored measure in words, "29 gal". */
export function say(quantity: Quantity, stored: number): string {
  const unit = unitOf(quantity)
  const value = shownIn(unit, stored)
  return `${plain(value, unit.symbol)} ${unit.symbol}`
}

/** A mass, in kilograms or pounds once there is much of it. */
export function mass(grams: number): string {
  if (unitOf('MASS').symbol === 'g') return grams >= 1000 ? withUnit(grams / 1000, 'kg') : say('MASS', grams)
  const ounces = shownIn(unitOf('MASS'), grams)
  return ounces >= 16 ? withUnit(ounces / 16, 'lb') : say('MASS', grams)
}

const THOUSANDS = /^[-+]?\d{1,3}(,\d{3})+(\.\d+)?$/
const POINTED_THOUSANDS = /^[-+]?\d{1,3}(\.\d{3})+,\d+$/

/**
 * What was typed as a number, "2.5" and "2,5" alike; undefined for nothing, NaN for what is no number. A comma before three
 * digits parts thousands where the site puts a point before decimals.
 */
export function typedNumber(text: string): number | undefined {
  const typed = text.trim()
  if (typed === '') return undefined
  if (inUse.value.decimalSign === 'POINT' && THOUSANDS.test(typed)) return Number(typed.replaceAll(',', ''))
  const plain = POINTED_THOUSANDS.test(typed) ? typed.replaceAll('.', '') : typed
  return Number(plain.replace(',', '.'))
}

/** A stored measure as it stands in a field; 29 gallons come back as 29. */
export function fieldText(quantity: Quantity, stored: string): string {
  const value = Number(stored)
  if (stored.trim() === '' || Number.isNaN(value)) return stored
  const text = String(Number(shownIn(unitOf(quantity), value).toPrecision(7)))
  return inUse.value.decimalSign === 'COMMA' ? text.replace('.', ',') : text
}

/** What was typed in a field of a measure as it is to be stored; what is no number stays as it is. */
export function storedText(quantity: Quantity, typed: string): string {
  const value = typedNumber(typed)
  if (value === undefined || Number.isNaN(value)) return typed
  return String(storedFrom(unitOf(quantity), value))
}

const MEASURES: Record<string, Quantity> = {
  'L/h': 'FLOW',
  'mg/L': 'CONCENTRATION',
  'g/L': 'SALINITY',
  mL: 'DOSE',
  '°C': 'TEMPERATURE',
  '°dH': 'HARDNESS',
  L: 'VOLUME',
  litre: 'VOLUME',
  litres: 'VOLUME',
  g: 'MASS',
  m: 'LENGTH',
  mm: 'SIZE',
}

/** A sentence of the server with its measures as this site reads them; not for what a keeper wrote. */
export function inOurUnits(sentence: string): string {
  return sentence.replace(
    /(\d[\d,]*(?:\.\d+)?) (L\/h|mg\/L|g\/L|mL|°C|°dH|litres?|L|g|mm|m)(?![\w/])/g,
    (told: string, number: string, symbol: string) => {
      const quantity = MEASURES[symbol]
      if (!quantity || unitOf(quantity).symbol === unitOf(quantity, SYSTEMS.METRIC).symbol) return told
      return say(quantity, Number(number.replaceAll(',', '')))
    },
  )
}
