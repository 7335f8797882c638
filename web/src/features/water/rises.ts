import { texts } from './texts'
import type { Schemas } from '@/shared/api/client'
import { plain } from '@/shared/units'

type Rise = Pick<Schemas['ProductionView'], 'perWeek' | 'low' | 'high'>

const signed = (value: number) => (value < 0 ? `−${plain(-value)}` : plain(value))

/** "rises 2.3", "falls 0.4"; it only may where the band does not bear a direction. */
export function riseWords({ perWeek, low, high }: Rise): string {
  const by = plain(Math.abs(perWeek))
  if (low <= 0 && high >= 0) return texts.may(perWeek < 0 ? 'fall' : 'rise', by)
  return `${perWeek < 0 ? 'falls' : 'rises'} ${by}`
}

/** "between 1.2 and 3.4"; of a fall both ends count downwards. */
export function bandWords({ low, high }: Rise): string {
  const falls = high < 0
  return falls ? texts.betweenAnd(plain(-high), plain(-low)) : texts.betweenAnd(signed(low), signed(high))
}
