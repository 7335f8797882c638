/** One catch: litres in seconds. */
export interface Catch {
  litres: number
  seconds: number
}

const HOUR_S = 3600
/** Catches that a flow is worth. */
export const ENOUGH = 3

/** The median of the catches in litres an hour; of an even number, the middle of the two. */
export function medianFlow(catches: Catch[]): number | undefined {
  const flows = catches.map(({ litres, seconds }) => (litres / seconds) * HOUR_S).toSorted((a, b) => a - b)
  const middle = Math.floor(flows.length / 2)
  const [below, above] = [flows[middle - 1], flows[middle]]
  return flows.length % 2 === 1 || below === undefined ? above : (below + (above ?? below)) / 2
}
