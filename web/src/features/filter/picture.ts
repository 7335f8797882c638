import type { StageKind } from '@/shared/words'

export type Texture =
  | 'mesh'
  | 'sponge'
  | 'coarse'
  | 'medium'
  | 'fine'
  | 'bio'
  | 'grains'
  | 'hose'
  | 'propeller'
  | 'lamp'
  | 'ring'
  | 'none'

/** How a stage is drawn: its texture, and its share of the width. */
export const LOOK: Record<StageKind, { texture: Texture; width: number }> = {
  STRAINER: { texture: 'mesh', width: 66 },
  PREFILTER_SPONGE: { texture: 'sponge', width: 92 },
  SPONGE: { texture: 'sponge', width: 150 },
  AIR_LINE: { texture: 'hose', width: 70 },
  OVERFLOW: { texture: 'mesh', width: 74 },
  SOCK: { texture: 'fine', width: 92 },
  FLEECE_ROLL: { texture: 'fine', width: 92 },
  SETTLING: { texture: 'none', width: 104 },
  COARSE_FOAM: { texture: 'coarse', width: 118 },
  MEDIUM_FOAM: { texture: 'medium', width: 118 },
  FINE_PAD: { texture: 'fine', width: 86 },
  FLOSS: { texture: 'fine', width: 86 },
  CARTRIDGE: { texture: 'grains', width: 86 },
  BIO_MEDIA: { texture: 'bio', width: 150 },
  CARBON: { texture: 'grains', width: 74 },
  RESIN: { texture: 'grains', width: 74 },
  PHOSPHATE_REMOVER: { texture: 'grains', width: 84 },
  UV_LAMP: { texture: 'lamp', width: 80 },
  UV_SLEEVE: { texture: 'lamp', width: 80 },
  IMPELLER: { texture: 'propeller', width: 76 },
  SEALS: { texture: 'ring', width: 64 },
  HOSES: { texture: 'hose', width: 64 },
  RETURN_PUMP: { texture: 'propeller', width: 84 },
}

/** Height of a cell in px, and of the room above it into which silt may overflow. */
export const CELL = 112
export const ABOVE = 18

/** px from the floor for a loading; 1 fills the cell, more spills a little over its rim. */
export function siltHeight(loading: number): number {
  return Math.min(Math.max(loading, 0), 1.1) * CELL
}
