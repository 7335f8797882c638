import wind, { type Theme } from '@unocss/preset-wind3'
import type { UserConfig } from '@unocss/core'

/**
 * The layout words a template may use, so that no view writes again what a row or a gap is. They stand above what the
 * library says of its parts and below what a view says in a style of its own, such as of a state.
 * Those of the preset, with our tokens for sizes 1 to 5 and for colours, and a few of our own:
 *
 * - `edge-b-hair`, `edge-l-5-amber`: a line at a side, of some px, dashed if said, in a colour;
 * - `note-amber`: a few lines set apart by a bar and a soft ground, in the colour of what they say;
 * - `cols-1`, `cols-[1_380px]`: columns, where a bare number shares what is left and may shrink below its content;
 * - `stroke-still`: a line of a drawing that keeps its width however large the drawing is;
 * - `max-phone:`, `max-tablet:`, `max-half:`, `max-desk:`: up to 640, 800, 1000, 1100 px.
 */
const NAMED = [
  ['ground', 'surface', 'ink', 'ink-quiet', 'line', 'hair', 'cell', 'stream'],
  ['herb', 'herb-deep', 'herb-soft', 'on-herb', 'silt', 'silt-stipple', 'on-silt'],
  ['amber', 'amber-soft', 'brick', 'brick-soft', 'plum', 'plum-soft'],
].flat()

const colors: Record<string, string> = Object.fromEntries(NAMED.map((name) => [name, `var(--${name})`]))
const sizes = {
  ...Object.fromEntries([1, 2, 3, 4, 5].map((step) => [step, `var(--gap-${step})`])),
  touch: 'var(--touch)',
}
const SIDE: Record<string, string> = { t: '-top', b: '-bottom', l: '-left', r: '-right' }

const utilities: UserConfig<Theme> = {
  presets: [wind({ preflight: false })],
  theme: {
    colors,
    spacing: sizes,
    width: sizes,
    height: sizes,
    minWidth: sizes,
    maxWidth: sizes,
    minHeight: sizes,
    maxHeight: sizes,
    borderRadius: { DEFAULT: 'var(--round)' },
    fontFamily: { mono: 'var(--mono)', text: 'var(--text)' },
    breakpoints: { phone: '641px', tablet: '801px', half: '1001px', desk: '1101px' },
  },
  shortcuts: [
    [/^note-(herb|amber|brick|plum)$/, ([, name = '']) => `py-2 px-3 edge-l-5-${name} bg-${name}-soft`],
  ],
  rules: [
    [
      /^edge(?:-([tblr]))?(?:-([\d.]+))?(?:-(dashed|dotted))?-([a-z-]+)$/,
      ([, side = '', px = '1', style = 'solid', name = '']) =>
        colors[name] && { [`border${SIDE[side] ?? ''}`]: `${px}px ${style} ${colors[name]}` },
    ],
    ['cols-1', { 'grid-template-columns': 'minmax(0, 1fr)' }],
    ['cols-1fr', { 'grid-template-columns': '1fr' }],
    [
      /^cols-\[(.+)\]$/,
      ([, shares = '']) => ({
        'grid-template-columns': shares
          .split('_')
          .map((share) => (/^[\d.]+$/.test(share) ? `minmax(0, ${share}fr)` : share))
          .join(' '),
      }),
    ],
    [/^leading-([\d.]+)$/, ([, lines]) => ({ 'line-height': lines })],
    [/^font-(\d+)$/, ([, weight]) => ({ 'font-weight': weight })],
    ['stroke-still', { 'vector-effect': 'non-scaling-stroke' }],
    [/^stroke-dash-([\d.,_]+)$/, ([, dashes = '']) => ({ 'stroke-dasharray': dashes.replaceAll('_', ' ') })],
  ],
  // What stands in a template by its own meaning.
  blocklist: ['filter'],
  outputToCssLayers: { cssLayerName: () => 'words' },
}

export default utilities
