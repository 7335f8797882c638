import { afterEach, describe, expect, it } from 'vitest'
import { readFileSync } from 'node:fs'
import served from '@/generated/sums.json'
import { addDays, today } from '@/shared/dates'
import { SYSTEMS, useUnitsOf } from '@/shared/units'
import { GROUPS, PAGES } from './catalogue'
import { asJson, asSvg } from './files'
import { read, rowOf, toTyped } from './given'
import { fieldOf, scaleOf, storedOf, tell } from './measures'
import { drawingOf } from './picture'
import { litresAMmOf, prefill } from './prefill'
import type { Field, Given, Kept, Measure, Sum } from './queries'
import { factsOf } from './reckoned'
import { asText, givenLines, linesOf } from './results'
import { answerWord, choiceFor, labelFor, warningFor } from './words'
import { adoption } from './adopt'
import { choreOf } from './chore'
import { handed, sumAt } from './handoff'
import { changeAt, templateAt } from './onward'
import { sheetsOf } from './template'

const SUMS = served as unknown as Sum[]
const must = <T>(found: T | undefined): T => {
  if (found === undefined) throw new Error('not there')
  return found
}
const sumOf = (name: string) => must(SUMS.find((sum) => sum.name === name))
const fieldIn = (sum: string, field: string) => must(sumOf(sum).fields.find((one) => one.name === field))

interface Vector {
  id: string
  sum: string
  in: Given
  expect: { out?: Record<string, unknown>; warn: string[] }
}
const VECTORS = (
  JSON.parse(readFileSync('../core/src/test/resources/vectors/sums.json', 'utf8')) as { vectors: Vector[] }
).vectors

const every = (fields: Field[]): Field[] => fields.flatMap((field) => [field, ...every(field.row)])

afterEach(() => {
  useUnitsOf(SYSTEMS.METRIC)
})

describe('every sum that is served', () => {
  it('has a page with a question in a group, and no page has no sum', () => {
    expect(PAGES.map((page) => page.name).toSorted()).toEqual(SUMS.map((sum) => sum.name).toSorted())
    expect(PAGES.every((page) => GROUPS.includes(page.group) && page.question.endsWith('?'))).toBe(true)
  })

  it('calls every field by a word of its own', () => {
    const nameless = SUMS.flatMap((sum) =>
      every(sum.fields)
        .filter((field) => labelFor(sum.name, field.name) === field.name)
        .map((field) => `${sum.name}.${field.name}`),
    )
    expect(nameless).toEqual([])
  })

  it('calls no choice by its code', () => {
    const coded = SUMS.flatMap((sum) => every(sum.fields))
      .flatMap((field) => field.words)
      .filter((word) => /^[A-Z]{3,}|_/.test(choiceFor(word)))
    expect(coded).toEqual([])
  })

  it.each(VECTORS.filter((vector) => vector.expect.out))('says in words what $id comes to', (vector) => {
    const sum = sumOf(vector.sum)
    const page = must(PAGES.find((one) => one.name === vector.sum))
    const values = Object.fromEntries(
      Object.entries(vector.expect.out ?? {}).filter(([, value]) => value !== null),
    ) as Parameters<typeof page.says>[0]

    const texts = [page.says(values), ...linesOf(sum, values).map((line) => `${line.label} ${line.text}`)]

    expect(texts.join('\n')).not.toMatch(/NaN|undefined|null|\bCODE\b|[A-Z]{4,}_/)
    if (!['cut', 'cutlist'].includes(vector.sum)) drawingOf(vector.sum, vector.in, values)
    for (const warning of vector.expect.warn) {
      expect(warningFor(vector.sum, warning as Parameters<typeof warningFor>[1])).toMatch(/[.?]$/)
    }
  })
})

describe('the drawing of a sum', () => {
  const first = (name: string) => must(VECTORS.find((vector) => vector.sum === name && vector.expect.out))
  const drawn = SUMS.map((sum) => sum.name).filter((name) => !['unit', 'cut', 'cutlist'].includes(name))

  it.each(drawn)('is there for %s, with nothing outside its frame', (name) => {
    const vector = first(name)
    const drawing = must(drawingOf(name, vector.in, vector.expect.out as never))

    const shares =
      drawing.kind === 'parts'
        ? drawing.parts.map((part) => part.share)
        : drawing.kind === 'levels'
          ? [drawing.water, ...drawing.marks.map((mark) => mark.at)]
          : drawing.kind === 'scale'
            ? drawing.marks.map((mark) => (mark.at - drawing.low) / (drawing.high - drawing.low))
            : []
    expect(shares.every((share) => share >= 0 && share <= 1)).toBe(true)
    expect(JSON.stringify(drawing)).not.toMatch(/null|NaN|undefined/)
  })

  it('of a cut lays each sheet by itself', () => {
    const pieces = [0, 0, 1].map((sheet) => ({ sheet, x: 0, y: 0, w: 10, h: 10 }))
    const drawing = drawingOf('cutlist', { sheetWMm: 500, sheetHMm: 400 }, { sheets: 2, pieces } as never)

    expect(drawing).toMatchObject({ kind: 'cut', w: 500, h: 400 })
    expect(drawing?.kind === 'cut' && drawing.sheets.map((sheet) => sheet.length)).toEqual([2, 1])
  })
})

describe('measures', () => {
  const inUs = () => {
    useUnitsOf(SYSTEMS.US)
  }

  it.each<[Measure, number, string, string]>([
    ['LITRES', 63.37, '', '63 L'],
    ['LITRES', 4.36, '', '4.4 L'],
    ['LITRES_PER_HOUR', 782.6, '', '780 L/h'],
    ['SHARE', 0.31687, '', '32 %'],
    ['MONEY', 570.86, '', '€570.86'],
    ['DAYS', 0.72, '', '0.72 days'],
    ['DAYS', 1, '', '1 day'],
    ['MILLIGRAMS_PER_LITRE', 0.00564, 'toxic', '0.0056 mg/L'],
    ['KELVIN', -3.2, '', '-3.2 °C'],
  ])('tells %s %d as %s', (measure, value, name, words) => {
    expect(tell(measure, value, name)).toBe(words)
  })

  it.each<[Measure, number, string, string]>([
    ['LITRES', 109.8, '', '29 gal'],
    ['LITRES_PER_HOUR', 1135.6, '', '300 gal/h'],
    ['MILLIMETRES', 108, '', '4.25 in'],
    ['KELVIN', 2, '', '3.6 °F'],
    ['KILOGRAMS', 1.8, '', '4 lb'],
    ['KILOGRAMS_PER_100_LITRES', 1, '', '8.3 lb per 100 gal'],
    ['GRAMS_PER_LITRE', 1.5, 'stepLimit', '0.0011 SG'],
    ['MILLILITRES', 375, 'bleachMl', '12.7 fl oz'],
  ])('tells %s %d in the United States as %s', (measure, value, name, words) => {
    inUs()
    expect(tell(measure, value, name)).toBe(words)
  })

  it('gives back what was typed in any unit', () => {
    inUs()
    for (const measure of ['LITRES', 'CELSIUS', 'MILLIMETRES', 'KILOGRAMS', 'SHARE'] as Measure[]) {
      const scale = scaleOf(measure)
      expect(fieldOf(scale, storedOf(scale, '29'))).toBe('29')
    }
  })
})

describe('what stands on the page', () => {
  const catches = fieldIn('catch', 'catches')

  it('is read field by field, and what is missing or wrong is named by its path', () => {
    const typed = {
      ratedLph: '1200',
      spreadLimit: '60',
      catches: [
        { litres: '2', seconds: '9.5' },
        { litres: '', seconds: 'nine' },
      ],
    }

    const all = read(sumOf('catch').fields, typed)

    expect(all.given.ratedLph).toBe(1200)
    expect(all.missing).toEqual(['catches[1].litres'])
    expect(all.wrong).toEqual({
      spreadLimit: 'Between 5 and 50 %.',
      'catches[1].seconds': 'This is not a number.',
    })
  })

  it('takes only whole things where things are counted', () => {
    expect(read(sumOf('split').fields, { share: '10', count: '2.5' }).wrong).toEqual({
      count: 'A whole number between 1 and 1,000.',
    })
  })

  it('says its range in the units of the site', () => {
    useUnitsOf(SYSTEMS.US)
    expect(read(sumOf('mix').fields, { hotC: '300' }).wrong.hotC).toBe('Between 32 and 194 °F.')
  })

  it('holds rows of rows as they are stored', () => {
    const options = fieldIn('cost', 'options')
    const stored = [{ upfront: 2, parts: [{ price: 9, everyDays: 30 }] }]

    const typed = toTyped(options, stored) as ReturnType<typeof rowOf>[]

    expect(typed[0]?.upfront).toBe('2')
    expect((typed[0]?.parts as ReturnType<typeof rowOf>[])[0]?.everyDays).toBe('30')
    expect(rowOf(catches.row)).toEqual({ litres: '', seconds: '' })
  })
})

describe('what a sum knows beforehand', () => {
  const tank = {
    name: 'Brook',
    netVolumeL: 220,
    setting: { stocking: 'LIGHT', bucketL: 9 },
  } as NonNullable<Parameters<typeof prefill>[1]['tank']>
  const kept: Kept[] = [
    { sum: 'mix', given: { coldC: 9, stepLimit: 1 }, keptAt: '2026-05-01T08:00:00Z' },
    { sum: 'topoff', given: { lengthMm: 1200, widthMm: 500 }, keptAt: '2026-04-01T08:00:00Z' },
    { sum: 'cut', given: { lengthMm: 77 }, keptAt: '2026-05-02T08:00:00Z' },
  ]

  it('comes from the tank before it comes from what was given last, and says so', () => {
    const mix = prefill(sumOf('mix'), { tank, kept })

    expect(mix.coldC?.value).toBe(9)
    expect(mix.coldC?.from).toMatch(/^as you gave it/)
    expect(mix.litres).toEqual({ value: 55, from: 'a quarter of the tank' })
    expect(prefill(sumOf('need'), { tank, kept }).netL).toEqual({ value: 220, from: 'from the tank' })
  })

  it('lends a footprint from one sum to another, but no other length', () => {
    expect(prefill(sumOf('siphon'), { tank, kept }).lengthMm?.value).toBe(1200)
    expect(prefill(sumOf('hold'), { tank, kept }).lengthMm).toBeUndefined()
  })

  it('tells how far a litre lowers a tank whose footprint was given', () => {
    expect(litresAMmOf(kept)).toBe(0.6)
    expect(litresAMmOf(kept.slice(0, 1))).toBeUndefined()
  })

  it('asks anew every time what can harm', () => {
    const given = { acidPct: 5, bleachNear: false }
    const bath = prefill(sumOf('vinegar'), {
      kept: [{ sum: 'vinegar', given, keptAt: '2026-05-01T08:00:00Z' }],
    })

    expect(bath.acidPct?.value).toBe(5)
    expect(bath.bleachNear).toBeUndefined()
  })

  it('draws in the keeper’s tubs, and in the tank’s bucket where there are none', () => {
    expect(prefill(sumOf('buckets'), { tank }).tubsL?.value).toEqual([9])
    const vessels = [{ id: 'a', kind: 'TUB' as const, name: 'Blue', millilitres: 12_000 }]
    expect(prefill(sumOf('buckets'), { tank, vessels }).tubsL?.value).toEqual([12])
  })

  it('knows what a millilitre of conditioner treats by the bottle that was last given', () => {
    const bottle = (given: Record<string, unknown>) => ({
      sum: 'conditioner',
      given,
      keptAt: '2026-05-01T08:00:00Z',
    })

    expect(prefill(sumOf('resin'), { kept: [bottle({ labelL: 50, labelMl: 5 })] }).treatsLPerMl?.value).toBe(
      10,
    )
    expect(prefill(sumOf('resin'), { kept: [bottle({ labelL: 50 })] }).treatsLPerMl).toBeUndefined()
    expect(prefill(sumOf('resin'), {}).treatsLPerMl).toBeUndefined()
  })

  it('turns what packets say into the units that are read here', () => {
    expect(prefill(sumOf('unit'), {}).from?.value).toBe('galUS')
    expect(prefill(sumOf('unit'), {}).to?.value).toBe('L')
    expect(drawingOf('unit', { value: 30, from: 'galUS', to: 'L' }, { value: 113.562 })).toEqual({
      kind: 'pair',
      one: '30 US gallons',
      other: '113.56 L',
    })
  })

  it('knows nothing without a tank but what is usual', () => {
    expect(prefill(sumOf('schedule'), {}).everyDays?.value).toBe(7)
    expect(prefill(sumOf('change'), {}).netL).toBeUndefined()
  })
})

describe('what a tank’s page says of a filter', () => {
  const tank = { name: 'Brook', netVolumeL: 220, setting: { stocking: 'LIGHT' } } as never
  const filter = { id: 4, name: 'Weir', kind: 'CANISTER', rating: { flowLph: 900 }, stages: [], tasks: [] }
  const flows = [{ filterId: 4, beforeLph: 600, afterLph: 800 }]
  const services = [
    { doneOn: '2026-05-20', tasks: [], flows: [{ filterId: 4, beforeLph: 640 }] },
    { doneOn: '2026-05-01', tasks: [], flows },
  ] as never

  it('is its flow against clean and plate, and how often the tank turns over', () => {
    const facts = factsOf({ tank, filter: filter as never, services })

    expect(facts.map((fact) => fact.label)).toEqual(['Flow', 'Turns the tank over'])
    expect(facts[0]?.text).toMatch(/^640 L\/h, measured .*, 80 % of clean, 71 % of the plate$/)
    expect(facts[1]?.text).toBe('2.9 times an hour')
  })

  it('goes by half of the plate until somebody measured, and says nothing without one', () => {
    expect(factsOf({ tank, filter: filter as never, services: [] })[0]?.text).toBe(
      'about 2 times an hour, by half of its plate',
    )
    expect(factsOf({ tank, filter: { ...filter, rating: {} } as never, services: [] })).toEqual([])
  })

  it('is the age of each lamp, or that nobody knows it', () => {
    const lamps = {
      ...filter,
      rating: {},
      stages: [
        { id: 1, kind: 'UV_LAMP', name: 'UV lamp', label: 'left', lasting: { litHoursADay: 10 } },
        { id: 2, kind: 'UV_LAMP', name: 'UV lamp', label: 'right', lasting: {} },
      ],
      tasks: [
        { stageId: 1, catalogue: { cleaned: { on: addDays(today(), -30), sureness: 'EXACT' } } },
        { stageId: 2, catalogue: { cleaned: { on: '2026-01-01', sureness: 'UNKNOWN' } } },
      ],
    }

    const facts = factsOf({ tank, filter: lamps as never })

    expect(facts[0]?.label).toBe('left')
    expect(facts[0]?.text).toContain('about 300 h lit')
    expect(facts[1]).toEqual({ label: 'right', text: 'age unknown' })
    const rows = prefill(sumOf('uv'), { tank, filter: lamps as never }).lamps?.value
    expect(rows).toEqual([{ hours: 300 }, {}])
  })
})

describe('an answer', () => {
  it('is handed from page to page in the address, as far as the sum asks for it', () => {
    const at = sumAt('mix', 3, { litres: 40, targetC: undefined })

    expect(at.query).toEqual({ tank: '3', 'given.litres': '40' })
    expect(handed({ ...at.query, 'given.luck': '7', 'given.hotC': 'x' }, sumOf('mix').fields)).toEqual({
      litres: 40,
    })
  })

  it('is copied with its question, what it was given and how far to trust it', () => {
    const given = [{ label: 'Water', text: '60 L' }]
    expect(asText('How much?', '12 L.', given, [{ label: 'Hot', text: '12 L' }], 'Roughly.')).toBe(
      'How much?\n12 L.\n\nHot: 12 L\n\nGiven:\nWater: 60 L\n\nRoughly.',
    )
  })

  it('tells what was given line by line, rows of rows in one line each', () => {
    const sum = sumOf('cost')
    const options = [{ watts: 20, parts: [{ price: 40, everyDays: 730 }] }, {}]

    expect(givenLines(sum, sum.fields, { filters: 2, options })).toEqual([
      { label: 'Filters', text: '2' },
      { label: 'Two ways 1', text: 'power 20 W, parts 1 price €40.00, every 730 days' },
      { label: 'Two ways 2', text: 'nothing' },
    ])
    const bath = sumOf('vinegar')
    expect(givenLines(bath, bath.fields, { litres: 1, bleachNear: false })).toEqual([
      { label: 'Bath', text: '1 L' },
      { label: 'Is any bleach near?', text: 'no' },
    ])
    const rinse = sumOf('buckets')
    expect(givenLines(rinse, rinse.fields, { tubsL: [8, 12] }).map((line) => line.text)).toEqual([
      '8 L',
      '12 L',
    ])
  })

  it('is kept as JSON that says what it is, and a cut as SVG in true millimetres', () => {
    expect(JSON.parse(asJson('mix', { coldC: 9 }, { hotL: 3 } as never, ['STEP']))).toEqual({
      format: 'chervil-sum',
      version: 1,
      sum: 'mix',
      given: { coldC: 9 },
      values: { hotL: 3 },
      warnings: ['STEP'],
    })
    const svg = asSvg(500, 400, [{ x: 0, y: 0, w: 108, h: 83 }])
    expect(svg).toContain('width="500mm" height="400mm" viewBox="0 0 500 400"')
    expect(svg).toContain('<rect x="0" y="0" width="108" height="83"/>')
  })

  it('that is adopted fixes a task and a price, and knows the way back', () => {
    const known = {
      filter: { tasks: [{ id: 5, version: 2, mode: 'LEARN' }] },
      stores: { items: [{ id: 8, version: 1, item: { name: 'Roll', price: 3 } }] },
    } as unknown as Parameters<typeof adoption>[0]

    const { to, back } = adoption(known, [{ price: 9, size: 400, everyDays: 30.4 }], [5], [8])

    expect(to.tasks[0]).toEqual({ task: 5, setting: { version: 2, mode: 'FIXED', fixedDays: 30 } })
    expect(to.items[0]?.item.price).toBeCloseTo(0.0225)
    expect(back.tasks[0]?.setting).toEqual({ version: 3, mode: 'LEARN', fixedDays: undefined })
    expect(back.items[0]).toMatchObject({ version: 2, item: { price: 3 } })
  })

  it('goes on as a water change with what it knows of it', () => {
    const values = { doseMl: 3, totalL: 60 } as never
    expect(changeAt('conditioner', 2, { newL: 60, basis: 'WHOLE_TANK' }, values)?.query).toEqual({
      litres: '60',
      conditioner: '3',
      dosedFor: 'WHOLE_TANK',
    })
    expect(changeAt('change', 2, {}, values)?.query).toEqual({ litres: '60' })
    expect(changeAt('cut', 2, {}, values)).toBeUndefined()
    expect(changeAt('change', 0, {}, values)).toBeUndefined()
  })

  it('speaks for a chore: changes as often as was reckoned, topping up a day before the pump draws air', () => {
    expect(choreOf('schedule', { everyDays: 7 }, {} as never)).toMatchObject({
      kind: 'WATER_CHANGE',
      everyDays: 7,
    })
    expect(choreOf('topoff', {}, { daysToLow: 5 } as never)).toMatchObject({ kind: 'TOP_OFF', everyDays: 4 })
    expect(choreOf('topoff', {}, { daysToLow: 0.7 } as never)?.everyDays).toBe(1)
    expect(choreOf('mix', {}, {} as never)).toBeUndefined()
  })

  it('of one piece is printed as it is cut, over pages that overlap', () => {
    expect(
      templateAt('cut', { shape: 'CIRCLE', holeMm: 25 }, { pieceWMm: 188, pieceHMm: 188 } as never)?.query,
    ).toEqual({
      aMm: '188',
      bMm: '188',
      shape: 'CIRCLE',
      holeMm: '25',
    })
    const sheets = sheetsOf(2, 2, { paper: 'A4', lying: false, margin: 10, overlap: 10 })
    expect(sheets.map((sheet) => sheet.name)).toEqual(['A1', 'A2', 'B1', 'B2'])
    expect(sheets[3]?.view).toEqual({ x: 180, y: 267, w: 190, h: 277 })
    expect(sheetsOf(1, 1, { paper: 'LETTER', lying: true, margin: 10, overlap: 10 })[0]?.view).toEqual({
      x: 0,
      y: 0,
      w: 259.4,
      h: 195.9,
    })
  })

  it('says bands and ways in words', () => {
    expect(answerWord('DANGER')).toContain('a large water change now')
  })
})
