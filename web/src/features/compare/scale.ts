/** From a quarter as fast to four times as fast, even steps of the ratio. */
const FARTHEST = Math.log(4)

/** Where a ratio lies on that scale, 0 to 1; what lies beyond is held at its end. */
export const placeOf = (ratio: number): number =>
  Math.min(1, Math.max(0, 0.5 + Math.log(ratio) / (2 * FARTHEST)))

/** A range as a stretch of that scale. */
export const stretchOf = (low: number, high: number) => ({
  from: placeOf(low),
  width: Math.max(0.004, placeOf(high) - placeOf(low)),
})
