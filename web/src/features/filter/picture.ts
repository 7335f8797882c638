import { stageWord, type StageKind, type StageWord } from '@/shared/words'

export type Texture = Lowercase<StageWord['texture']>

/** px that a stage takes of the picture's width, by what it is made of; the rest take the usual. */
const WIDTH: Partial<Record<Texture, number>> = {
  mesh: 70,
  sponge: 120,
  coarse: 118,
  medium: 118,
  fine: 90,
  bio: 150,
  grains: 78,
  hose: 66,
  ring: 64,
  none: 104,
}
const USUAL_WIDTH = 80

/** How a stage is drawn: its texture, and its share of the width. */
export function lookOf(kind: StageKind): { texture: Texture; width: number } {
  const texture = stageWord(kind).texture.toLowerCase() as Texture
  return { texture, width: WIDTH[texture] ?? USUAL_WIDTH }
}

/** Height of a cell in px, and of the room above it into which silt may overflow. */
export const CELL = 112
export const ABOVE = 18

/** px from the floor for a loading; 1 fills the cell, more spills a little over its rim. */
export function siltHeight(loading: number): number {
  return Math.min(Math.max(loading, 0), 1.1) * CELL
}
