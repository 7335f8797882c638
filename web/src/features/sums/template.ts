import type { Piece } from './picture'

export type Paper = 'A4' | 'LETTER'

/** Millimetres across and down, standing upright. */
export const PAPERS: Record<Paper, [number, number]> = { A4: [210, 297], LETTER: [215.9, 279.4] }

/** One page: what of the template it shows, and where it stands among the others. */
export interface Sheet {
  name: string
  /** The part of the template on it, in millimetres. */
  view: Piece
  row: number
  column: number
}

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'

/** How the pages of a template are laid; lengths in millimetres. */
export interface Layout {
  paper: Paper
  lying: boolean
  margin: number
  overlap: number
}

/** Pages of a template: rows are letters, columns numbers, each overlapping the one before. */
export function sheetsOf(across: number, down: number, { paper, lying, margin, overlap }: Layout): Sheet[] {
  const [shorter, longer] = PAPERS[paper]
  const w = (lying ? longer : shorter) - 2 * margin
  const h = (lying ? shorter : longer) - 2 * margin
  return Array.from({ length: down }, (_none, row) =>
    Array.from({ length: across }, (_one, column) => ({
      name: `${LETTERS[row] ?? String(row)}${String(column + 1)}`,
      view: { x: column * (w - overlap), y: row * (h - overlap), w, h },
      row,
      column,
    })),
  ).flat()
}
