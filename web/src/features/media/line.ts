import { daysBetween, type Day } from '@/shared/dates'
import type { Piece, Stay } from './words'

/** A stay as a stretch of the line, with where it begins and how long it is as shares of the whole. */
export interface Stretch {
  stay: Stay
  from: number
  width: number
  /** Colour by tank, in the order in which they were met; -1 on a shelf. */
  colour: number
}

/** The stays of a piece side by side, from the day its record begins until today. */
export function stretches(piece: Piece, today: Day): Stretch[] {
  const first = piece.stays[0]?.from
  if (!first) return []
  const whole = Math.max(1, daysBetween(first, today))
  const tanks: number[] = []
  return piece.stays.map((stay) => {
    if (stay.tankId !== undefined && !tanks.includes(stay.tankId)) tanks.push(stay.tankId)
    const from = daysBetween(first, stay.from) / whole
    return {
      stay,
      from,
      width: Math.max(0, daysBetween(stay.from, stay.until ?? today) / whole),
      colour: stay.tankId === undefined ? -1 : tanks.indexOf(stay.tankId) % 4,
    }
  })
}

/** The curve of its bacteria as a path in a box of that size, full at the top. */
export function curvePath(curve: { on: Day; share: number }[], width: number, height: number): string {
  const first = curve[0]
  const last = curve.at(-1)
  if (!first || !last) return ''
  const whole = Math.max(1, daysBetween(first.on, last.on))
  const at = (point: { on: Day; share: number }) =>
    `${((daysBetween(first.on, point.on) / whole) * width).toFixed(1)} ${((1 - point.share) * height).toFixed(1)}`
  return `M ${curve.map(at).join(' L ')}`
}
