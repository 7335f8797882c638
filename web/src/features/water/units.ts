import {
  plain,
  SYSTEMS,
  unitOf,
  shownIn,
  storedFrom,
  unitsInUse,
  type Quantity,
  type SiteUnits,
} from '@/shared/units'
import type { Parameter, Reading } from './queries'

interface Scale {
  unit: string
  shown: (stored: number) => number
  stored: (shown: number) => number
}

const QUANTITIES: Record<string, Quantity> = {
  '°C': 'TEMPERATURE',
  '°dH': 'HARDNESS',
  'mg/L': 'CONCENTRATION',
  'g/L': 'SALINITY',
}

/** How a parameter is read and typed on a site; stored values stay metric. */
export function scaleOf(parameter: Pick<Parameter, 'unit'>, units: SiteUnits = SYSTEMS.METRIC): Scale {
  const quantity = QUANTITIES[parameter.unit]
  if (!quantity) return { unit: parameter.unit, shown: (value) => value, stored: (value) => value }
  const unit = unitOf(quantity, units)
  return {
    unit: unit.symbol,
    shown: (stored) => shownIn(unit, stored),
    stored: (shown) => storedFrom(unit, shown),
  }
}

export function useUnits() {
  const units = unitsInUse
  const scale = (parameter: Pick<Parameter, 'unit'>) => scaleOf(parameter, units.value)
  /** "0.25 mg/L", "< 0.2 mg/L". */
  const words = (reading: Pick<Reading, 'amount' | 'belowDetection'>, parameter: Pick<Parameter, 'unit'>) => {
    const { unit, shown } = scale(parameter)
    return `${reading.belowDetection ? '< ' : ''}${plain(shown(reading.amount), unit)}${unit ? ` ${unit}` : ''}`
  }
  return { units, scale, words }
}
