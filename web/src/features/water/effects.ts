import type { Reading, Tap } from './queries'

/** What a water change does, by mixing alone; empty where nothing is known. */
export interface Effects {
  /** Share of the tank's water that is new, 0 to 1. */
  share: number
  /** °C before and after; absent unless both temperatures are known. */
  temperature?: { before: number; after: number }
  /** mg/L before and after. */
  nitrate?: { before: number; after: number; tapKnown: boolean }
}

/** Above this share animals feel the change of water itself; our judgement. */
export const LARGE_SHARE = 0.5
/** Steps of the tank's temperature, in °C, that animals bear without notice; our judgement. */
export const GENTLE_STEP_C = 2

/**
 * The mix of what stays and what comes in.
 *
 * @param volume of the tank in litres, above zero
 * @param litres changed; what is beyond the tank's volume counts as all of it
 * @param newC temperature of the new water in °C
 */
export function effectsOf(
  volume: number,
  litres: number,
  newC: number | undefined,
  known: { last: Reading[]; tap: Tap[] },
): Effects | undefined {
  if (!(volume > 0) || !(litres > 0)) return undefined
  const share = Math.min(1, litres / volume)
  const mixed = (before: number, added: number) => before * (1 - share) + added * share
  const lastOf = (code: string) => known.last.find((one) => one.parameter === code)?.amount
  const warm = lastOf('TEMPERATURE')
  const nitrate = lastOf('NITRATE')
  const tap = known.tap.find((one) => one.parameter === 'NITRATE')?.amount
  return {
    share,
    temperature:
      warm === undefined || newC === undefined || Number.isNaN(newC)
        ? undefined
        : { before: warm, after: mixed(warm, newC) },
    nitrate:
      nitrate === undefined
        ? undefined
        : { before: nitrate, after: mixed(nitrate, tap ?? 0), tapKnown: tap !== undefined },
  }
}
