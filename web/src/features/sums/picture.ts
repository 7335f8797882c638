import { texts } from './texts'
import { tell } from './measures'
import type { Values } from './catalogue'
import type { Given, Measure } from './queries'
import { choiceFor } from './words'

/** What the drawing of a sum shows. */
export type Drawing =
  | { kind: 'levels'; water: number; after?: number; marks: Mark[] }
  | { kind: 'scale'; low: number; high: number; marks: Mark[]; upright: boolean }
  | { kind: 'tubs'; count: number; filled: number; label: string }
  | { kind: 'parts'; parts: { share: number; label: string; tone: Tone }[] }
  | { kind: 'lines'; lines: { from: number; perYear: number; label: string }[]; years: number }
  | { kind: 'cut'; w: number; h: number; round: boolean; sheets: Piece[][] }
  | { kind: 'pair'; one: string; other: string }
  | { kind: 'saw'; peak: number; trough: number; tap: number; now?: number; label: string }

/** A value on a scale, as a share of a height or as it is. */
export interface Mark {
  at: number
  label: string
  tone?: Tone
}
export type Tone = 'stream' | 'amber' | 'brick' | 'herb' | 'silt' | 'quiet'
export interface Piece {
  x: number
  y: number
  w: number
  h: number
}

const OCEAN_PPT = 35
/** A page upright, as a shape. */
const PAGE_W = 100
const PAGE_H = 141

type Draw = (given: Given, values: Values) => Drawing | undefined

const number = (from: Given | Values, name: string) => {
  const value = (from as Record<string, unknown>)[name]
  return typeof value === 'number' ? value : undefined
}
const n = (from: Given | Values, name: string) => number(from, name) ?? 0

function marks(measure: Measure, from: Given | Values, named: Record<string, [string, Tone]>): Mark[] {
  return Object.entries(named).flatMap(([name, [label, tone]]) => {
    const at = number(from, name)
    return at === undefined ? [] : [{ at, label: `${label} ${tell(measure, at, name)}`, tone }]
  })
}

function scale(all: Mark[], upright: boolean, from = 0): Drawing | undefined {
  const high = Math.max(...all.map((mark) => mark.at))
  return all.length > 0 && high > from ? { kind: 'scale', low: from, high, marks: all, upright } : undefined
}

const share = (part: number, whole: number) => Math.max(0, Math.min(1, whole > 0 ? part / whole : 0))

const DRAWN: Record<string, Draw> = {
  change: (_given, v) => ({
    kind: 'levels',
    water: 1,
    after: 1 - n(v, 'share'),
    marks: [
      { at: 1 - n(v, 'share'), label: texts.downToHereOut(tell('SHARE', n(v, 'share'))), tone: 'herb' },
    ],
  }),
  siphon: (g, v) => ({
    kind: 'levels',
    water: 1,
    after: 1 - share(n(v, 'dropMm'), 1000 * n(g, 'heightM')),
    marks: [{ at: 0, label: texts.hoseEndsBelow(tell('METRES', n(g, 'heightM'))), tone: 'quiet' }],
  }),
  draindown: (g, v) => ({
    kind: 'levels',
    water: share(n(g, 'levelMm'), n(g, 'rimMm')),
    after: Math.min(
      1.06,
      (n(g, 'levelMm') +
        ((n(g, 'rimMm') - n(g, 'levelMm')) * n(v, 'drainL')) / Math.max(n(v, 'roomL'), 0.001)) /
        n(g, 'rimMm'),
    ),
    marks: [
      {
        at: share(n(v, 'maxLevelMm'), n(g, 'rimMm')),
        label: texts.neverAbove(tell('MILLIMETRES', n(v, 'maxLevelMm'))),
        tone: 'brick',
      },
      {
        at: share(n(g, 'levelMm'), n(g, 'rimMm')),
        label: texts.runsAt(tell('MILLIMETRES', n(g, 'levelMm'))),
        tone: 'herb',
      },
    ],
  }),
  topoff: (g, v) => ({
    kind: 'levels',
    water: 1,
    after: 0.3,
    marks: [
      { at: 1, label: texts.fullToSpare(tell('LITRES', n(v, 'chamberL'))), tone: 'herb' },
      {
        at: 0.3,
        label: texts.pumpDrawsAirAfter(tell('DAYS', n(v, 'daysToLow'))),
        tone: n(g, 'spareMm') > 0 ? 'brick' : 'quiet',
      },
    ],
  }),
  mix: (g, v) =>
    scale(
      [
        ...marks('CELSIUS', g, {
          coldC: ['cold', 'stream'],
          targetC: [texts.newWater, 'herb'],
          hotC: ['hot', 'brick'],
        }),
        ...marks('CELSIUS', v, { afterC: [texts.tankThen, 'silt'] }),
      ],
      true,
    ),
  heat: (g, v) =>
    scale(
      [
        ...marks('CELSIUS', g, { fromC: ['from', 'stream'], toC: ['to', 'herb'] }),
        ...marks('CELSIUS', v, { equilibriumC: [texts.leftAlone, 'silt'] }),
      ],
      true,
    ),
  catch: (g, v) =>
    scale(
      [
        ...marks('LITRES_PER_HOUR', v, { lph: ['now', 'herb'] }),
        ...marks('LITRES_PER_HOUR', g, { cleanLph: ['clean', 'stream'], ratedLph: ['plate', 'quiet'] }),
      ],
      false,
    ),
  expected: (g, v) =>
    scale(
      [
        ...marks('LITRES_PER_HOUR', v, { lowLph: [texts.atLeast, 'silt'], lph: ['expected', 'herb'] }),
        ...marks('LITRES_PER_HOUR', g, { measuredLph: ['measured', 'stream'], ratedLph: ['plate', 'quiet'] }),
      ],
      false,
    ),
  uv: (g, v) =>
    scale(
      [
        ...marks('LITRES_PER_HOUR', g, { flowLph: ['flow', 'stream'] }),
        ...marks('LITRES_PER_HOUR', v, { slowEnoughLph: [texts.slowEnoughUpTo, 'herb'] }),
      ],
      false,
    ),
  toxic: (g, v) =>
    scale(
      [
        ...marks('PH', g, { ph: ['now', 'herb'], thenPh: ['then', 'silt'] }),
        ...marks('PH', v, {
          phStrain: ['strain', 'amber'],
          phHarm: ['harm', 'brick'],
          phDanger: ['danger', 'brick'],
        }),
      ],
      false,
      4,
    ),
  buckets: (_given, v) => ({
    kind: 'tubs',
    count: n(v, 'rinses'),
    filled: share(n(v, 'litresEach'), n(v, 'tubL')),
    label: texts.inATubOf(tell('LITRES', n(v, 'litresEach')), tell('LITRES', n(v, 'tubL'))),
  }),
  conditioner: (_given, v) => ({
    kind: 'tubs',
    count: Math.min(12, n(v, 'units')),
    filled: 0.9,
    label: n(v, 'units') > 12 ? texts.andSoOnIn(n(v, 'units')) : texts.ofYours2(n(v, 'units')),
  }),
  need: (g, v) => ({
    kind: 'parts',
    parts: [
      { share: share(n(v, 'carriedL'), n(g, 'netL')), label: texts.carriedByWhatIs, tone: 'herb' },
      { share: 1 - share(n(v, 'carriedL'), n(g, 'netL')), label: texts.stillMissing, tone: 'quiet' },
    ],
  }),
  hold: (g, v) => ({
    kind: 'parts',
    parts: [
      {
        share: number(g, 'fill') ?? 0.95,
        label: texts.ofMedia(tell('LITRES', n(v, 'litres'))),
        tone: 'silt',
      },
      { share: 1 - (number(g, 'fill') ?? 0.95), label: texts.leftFree, tone: 'quiet' },
    ],
  }),
  bags: (_given, v) => ({
    kind: 'tubs',
    count: Math.min(12, n(v, 'count')),
    filled: 0.6,
    label: texts.each(tell('LITRES', n(v, 'litresEach'))),
  }),
  salt: (g, v) => ({
    kind: 'parts',
    parts: [
      { share: share(n(v, 'replaceL'), n(g, 'litres')), label: texts.replacedByFreshWater, tone: 'stream' },
      {
        share: 1 - share(n(v, 'replaceL'), n(g, 'litres')),
        label: n(v, 'grams') > 0 ? texts.takes(tell('GRAMS', n(v, 'grams'))) : 'stays',
        tone: 'quiet',
      },
    ],
  }),
  resin: (_given, v) => ({
    kind: 'parts',
    parts: [
      { share: share(n(v, 'bleachMl'), n(v, 'soakMl')), label: 'bleach', tone: 'amber' },
      { share: 1 - share(n(v, 'bleachMl'), n(v, 'soakMl')), label: texts.waterFirstIn, tone: 'stream' },
    ],
  }),
  vinegar: (_given, v) => ({
    kind: 'parts',
    parts: [
      { share: share(n(v, 'vinegarL'), n(v, 'vinegarL') + n(v, 'waterL')), label: 'vinegar', tone: 'amber' },
      { share: share(n(v, 'waterL'), n(v, 'vinegarL') + n(v, 'waterL')), label: 'water', tone: 'stream' },
    ],
  }),
  cost: (g, v) => {
    const [now, instead] = v.perYear as number[]
    const [before, after] = v.upfront as number[]
    return {
      kind: 'lines',
      years: number(g, 'years') ?? 1,
      lines: [
        { from: before ?? 0, perYear: now ?? 0, label: 'now' },
        { from: after ?? 0, perYear: instead ?? 0, label: 'instead' },
      ],
    }
  },
  cut: (g, v) => ({
    kind: 'cut',
    w: n(g, 'sheetWMm'),
    h: n(g, 'sheetHMm'),
    round: g.shape === 'CIRCLE',
    sheets: [v.pieces as unknown as Piece[]],
  }),
  cutlist: (g, v) => {
    const laid = v.pieces as unknown as (Piece & { sheet: number })[]
    const sheets = Array.from({ length: n(v, 'sheets') }, (_none, sheet) =>
      laid.filter((one) => one.sheet === sheet),
    )
    return { kind: 'cut', w: n(g, 'sheetWMm'), h: n(g, 'sheetHMm'), round: false, sheets }
  },
  schedule: (g, v) => ({
    kind: 'saw',
    peak: n(v, 'peak'),
    trough: n(v, 'trough'),
    tap: n(g, 'tap'),
    now: number(g, 'now'),
    label: texts.settlesBetweenAnd(
      tell('MILLIGRAMS_PER_LITRE', n(v, 'trough')),
      tell('MILLIGRAMS_PER_LITRE', n(v, 'peak')),
    ),
  }),
  lower: (g, v) => ({
    kind: 'tubs',
    count: Math.min(12, n(v, 'count')),
    filled: n(v, 'each'),
    label: texts.eachTimeTo(tell('SHARE', n(v, 'each')), tell('MILLIGRAMS_PER_LITRE', n(g, 'target'))),
  }),
  tiles: (_given, v) => {
    const pages = Array.from({ length: n(v, 'pages') }, (_none, page) => ({
      x: (page % n(v, 'across')) * PAGE_W,
      y: Math.floor(page / n(v, 'across')) * PAGE_H,
      w: PAGE_W,
      h: PAGE_H,
    }))
    return {
      kind: 'cut',
      w: n(v, 'across') * PAGE_W,
      h: n(v, 'down') * PAGE_H,
      round: false,
      sheets: [pages],
    }
  },
  socks: (g, v) => ({
    kind: 'parts',
    parts: [
      { share: share(n(g, 'inUse'), n(v, 'need')), label: texts.hanging(n(g, 'inUse')), tone: 'herb' },
      {
        share: share(n(v, 'dirty'), n(v, 'need')),
        label: texts.waitingForTheWash(n(v, 'dirty')),
        tone: 'silt',
      },
      {
        share: share(n(v, 'drying'), n(v, 'need')),
        label: texts.drying(n(v, 'drying')),
        tone: 'stream',
      },
      {
        share: share(n(v, 'need') - n(g, 'inUse') - n(v, 'dirty') - n(v, 'drying'), n(v, 'need')),
        label: 'spare',
        tone: 'quiet',
      },
    ],
  }),
  service: (_given, v) => {
    const then = number(v, 'savedMinutes')
    const now: Mark = {
      at: n(v, 'minutesYear'),
      label: texts.now(tell('MINUTES', n(v, 'minutesYear'))),
      tone: 'silt',
    }
    const less = n(v, 'minutesYear') - (then ?? 0)
    return scale(
      then === undefined
        ? [now]
        : [now, { at: less, label: texts.then(tell('MINUTES', less)), tone: 'herb' }],
      false,
    )
  },
  salinity: (_given, v) =>
    scale(
      [
        ...marks('PER_MILLE', v, { ppt: [texts.thisWater, 'herb'] }),
        { at: OCEAN_PPT, label: texts.theOpenSea(tell('PER_MILLE', OCEAN_PPT)), tone: 'stream' },
      ],
      false,
    ),
  unit: (g, v) => ({
    kind: 'pair',
    one: `${tell('NUMBER', n(g, 'value'), 'value')} ${choiceFor(String(g.from))}`,
    other: `${tell('NUMBER', n(v, 'value'), 'value')} ${choiceFor(String(g.to))}`,
  }),
  split: (g, v) => ({
    kind: 'parts',
    parts: [
      { share: n(v, 'removed'), label: texts.takenOutByChanges(n(g, 'count')), tone: 'stream' },
      { share: 1 - n(v, 'removed'), label: 'left', tone: 'quiet' },
    ],
  }),
}

/** The drawing of a sum, if it has one. */
export const drawingOf = (name: string, given: Given, values: Values): Drawing | undefined =>
  DRAWN[name]?.(given, values)
