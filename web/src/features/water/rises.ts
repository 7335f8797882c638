import type { Schemas } from '@/shared/api/client'
import { plain } from './units'

type Rise = Pick<Schemas['ProductionView'], 'perWeek' | 'low' | 'high'>

const signed = (value: number) => (value < 0 ? `−${plain(-value)}` : plain(value))

/** "rises 2.3", "falls 0.4", or that it may do either: a direction is only said when the band bears it. */
export function riseWords({ perWeek, low, high }: Rise): string {
  if (low <= 0 && high >= 0) return `about ${signed(perWeek)}, up or down,`
  return `${perWeek < 0 ? 'falls' : 'rises'} ${plain(Math.abs(perWeek))}`
}

/** "between 1.2 and 3.4"; of a fall both ends count downwards. */
export function bandWords({ low, high }: Rise): string {
  const falls = high < 0
  return falls ? `between ${plain(-high)} and ${plain(-low)}` : `between ${signed(low)} and ${signed(high)}`
}
