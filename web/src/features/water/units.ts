import { computed } from 'vue'
import { useSession, type Session } from '@/features/account'
import type { Parameter, Reading } from './queries'

type Units = Omit<NonNullable<Session['units']>, 'currency'>

const METRIC: Units = { temperature: 'CELSIUS', concentration: 'MG_PER_L', hardness: 'DH' }
/** Calcium carbonate in one German degree, mg/L. */
const PPM_OF_DEGREE = 17.848

interface Scale {
  unit: string
  shown: (stored: number) => number
  stored: (shown: number) => number
}

const as = (unit: string): Scale => ({ unit, shown: (value) => value, stored: (value) => value })

/** How a parameter is read and typed on a site; stored values stay metric. */
export function scaleOf(parameter: Pick<Parameter, 'unit'>, units: Units = METRIC): Scale {
  if (parameter.unit === '°C' && units.temperature === 'FAHRENHEIT')
    return { unit: '°F', shown: (c) => c * 1.8 + 32, stored: (f) => (f - 32) / 1.8 }
  if (parameter.unit === '°dH' && units.hardness === 'PPM')
    return { unit: 'ppm', shown: (dh) => dh * PPM_OF_DEGREE, stored: (ppm) => ppm / PPM_OF_DEGREE }
  if (parameter.unit === 'mg/L' && units.concentration === 'PPM') return as('ppm')
  return as(parameter.unit)
}

/** Three digits that count, no more than two after the point. */
export function plain(value: number): string {
  const digits = Math.abs(value) >= 100 ? 0 : Math.abs(value) >= 10 ? 1 : 2
  return String(Number(value.toFixed(digits)))
}

export function useUnits() {
  const { data: session } = useSession()
  const units = computed(() => session.value?.units ?? METRIC)
  const scale = (parameter: Pick<Parameter, 'unit'>) => scaleOf(parameter, units.value)
  /** "0.25 mg/L", "< 0.2 mg/L". */
  const words = (reading: Pick<Reading, 'amount' | 'belowDetection'>, parameter: Pick<Parameter, 'unit'>) => {
    const { unit, shown } = scale(parameter)
    return `${reading.belowDetection ? '< ' : ''}${plain(shown(reading.amount))}${unit ? ` ${unit}` : ''}`
  }
  return { units, scale, words }
}
