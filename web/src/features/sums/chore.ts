import { texts } from './texts'
import type { Schemas } from '@/shared/api/client'
import type { Values } from './catalogue'
import type { Given } from './queries'

type Kind = Schemas['ChoreView']['kind']

/** The chore an answer speaks for, and how often; undefined if for none. A top-up comes a day before the pump draws air. */
export function choreOf(
  sum: string,
  given: Given,
  values: Values,
): { kind: Kind; everyDays: number; words: string } | undefined {
  if (sum === 'schedule')
    return { kind: 'WATER_CHANGE', everyDays: whole(given.everyDays), words: texts.waterChange }
  if (sum === 'topoff')
    return { kind: 'TOP_OFF', everyDays: whole(Number(values.daysToLow) - 1), words: texts.toppingUp }
  return undefined
}

const whole = (days: unknown) => Math.max(1, Math.floor(Number(days)))
