import { choiceFor } from '@/features/sums'
import type { Schemas } from '@/shared/api/client'
import { datedDay, daysBetween, shortDay, today, type Day } from '@/shared/dates'
import type { Choice } from '@/shared/words'

export type Piece = Schemas['PieceView']
export type Stay = Schemas['StayView']
export type Spot = Stay['spot']
export type Medium = Piece['kind']

const KINDS: Medium[] = ['POROUS', 'PUMICE', 'RING', 'BEAD', 'LAVA', 'PLASTIC', 'FOAM']
export const MEDIA: Choice<Medium>[] = KINDS.map((value) => ({ value, label: choiceFor(value) }))

/** Where media can be, as a keeper chooses it. */
export const SPOTS: { value: Spot; label: string; hint: string }[] = [
  { value: 'IN_FILTER', label: 'In a filter', hint: 'working there' },
  { value: 'SEEDING', label: 'Seeding', hint: 'beside ripe media, for another tank' },
  { value: 'WET_SHELF', label: 'Wet, on the shelf', hint: 'under water of its tank' },
  { value: 'DRY_SHELF', label: 'Dry, on the shelf', hint: 'new, or dried out' },
]
export const GONE: (typeof SPOTS)[number] = { value: 'GONE', label: 'Thrown away', hint: 'its record stays' }

export const inFilter = (spot: Spot | undefined) => spot === 'IN_FILTER' || spot === 'SEEDING'

export const lastStay = (piece: Piece): Stay | undefined => piece.stays.at(-1)

/** Where a piece is today, in words. */
export function whereWords(piece: Piece): string {
  const stay = lastStay(piece)
  if (!stay) return ''
  const seeding = stay.spot === 'SEEDING' ? `, seeding for ${stay.forTank ?? 'another tank'}` : ''
  return `${stay.where}${seeding} since ${shortDay(stay.from)}`
}

/** What its bacteria are worth, in a few words. */
export function worthWords(piece: Piece): string {
  const percent = `${Math.round(piece.share * 100)} %`
  switch (piece.state) {
    case 'RIPE':
      return 'Ripe'
    case 'SETTLING':
      return piece.ripeOn ? `Settling, ripe about ${shortDay(piece.ripeOn)}` : `Settling, ${percent}`
    case 'FADING':
      return `Fading, ${percent} left`
    case 'NEW':
      return piece.ripeOn ? `New, ripe about ${shortDay(piece.ripeOn)}` : 'New'
    case 'DEAD':
      return 'Dead, counts as new'
    case 'GONE':
      return 'Thrown away'
  }
}

/** How such a state is drawn: what is ready stands out, what waits is quiet. */
export const standingOf = (piece: Piece) =>
  piece.state === 'DEAD' ? 'HELD' : piece.state === 'RIPE' ? 'OPEN' : 'LATER'

/** A stay as a sentence, for readers and lists. */
export function stayWords(stay: Stay, at: Day = today()): string {
  const seeding = stay.spot === 'SEEDING' ? `, seeding for ${stay.forTank ?? 'another tank'}` : ''
  const until = stay.until ? `to ${datedDay(stay.until)}` : 'until today'
  const days = daysBetween(stay.from, stay.until ?? at)
  return `${stay.where}${seeding}: ${datedDay(stay.from)} ${until}, ${days} ${days === 1 ? 'day' : 'days'}`
}

/** Pieces by where they are: at work, seeding, on a shelf, thrown away; empty groups are left out. */
export function grouped(pieces: Piece[]): { title: string; pieces: Piece[] }[] {
  const groups: { title: string; spots: Spot[] }[] = [
    { title: 'Seeding', spots: ['SEEDING'] },
    { title: 'In filters', spots: ['IN_FILTER'] },
    { title: 'On the shelf', spots: ['WET_SHELF', 'DRY_SHELF'] },
    { title: 'Thrown away', spots: ['GONE'] },
  ]
  return groups
    .map(({ title, spots }) => ({
      title,
      pieces: pieces.filter((one) => spots.includes(lastStay(one)?.spot ?? 'GONE')),
    }))
    .filter((group) => group.pieces.length > 0)
}
