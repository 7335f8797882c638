import type { Values } from './catalogue'
import type { Piece } from './picture'
import type { Given } from './queries'

/** Hands a file to the browser to be kept. */
export function keepFile(name: string, type: string, content: string) {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([content], { type }))
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}

/** A sum with what it was given and what it came to, in stored units (docs/formats.md). */
export const asJson = (sum: string, given: Given, values: Values, warnings: string[]) =>
  `${JSON.stringify({ format: 'chervil-sum', version: 1, sum, given, values, warnings }, undefined, 2)}\n`

/** One sheet and its cuts as SVG in true millimetres. */
export function asSvg(w: number, h: number, pieces: Piece[], round = false): string {
  const drawn = pieces.map((piece) =>
    round
      ? `  <circle cx="${String(piece.x + piece.w / 2)}" cy="${String(piece.y + piece.h / 2)}" r="${String(piece.w / 2)}"/>`
      : `  <rect x="${String(piece.x)}" y="${String(piece.y)}" width="${String(piece.w)}" height="${String(piece.h)}"/>`,
  )
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${String(w)}mm" height="${String(h)}mm" viewBox="0 0 ${String(w)} ${String(h)}" fill="none" stroke="black" stroke-width="0.5">`,
    `  <rect width="${String(w)}" height="${String(h)}"/>`,
    ...drawn,
    '</svg>\n',
  ].join('\n')
}
