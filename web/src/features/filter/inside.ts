import { texts } from './texts'
import type { Schemas } from '@/shared/api/client'
import { typedNumber } from '@/shared/units'
import { stageWord } from '@/shared/words'
import type { Passport } from './form'
import type { Filter } from './queries'

export type Chamber = Schemas['ChamberInput']
type Place = Schemas['PlaceInput']
type Content = Schemas['ContentInput']

/** What lies on a place: all trays above it, nothing, or places of its chamber by their keys. */
export type Under = 'USUAL' | 'NOTHING' | number[]

export interface ContentForm {
  key: number
  /** Its number in the water path. */
  stage: number
  packing: Content['packing']
  litres: string
  grainMm: string
}

/** A place being described; numbers as typed. */
export interface PlaceForm {
  key: number
  name: string
  kind: Place['kind']
  emptiedInPlace: boolean
  under: Under
  holeMm: string
  contents: ContentForm[]
}

export interface ChamberForm {
  key: number
  name: string
  access: Chamber['access']
  places: PlaceForm[]
}

export interface OwnStepForm {
  key: number
  moment: Schemas['OwnStepInput']['moment']
  before: 'BEFORE' | 'AFTER'
  words: string
}

/** How a filter is built, being described. */
export interface InsideForm {
  build: Required<
    Omit<Passport, 'chambers' | 'ownSteps' | 'purgesADay' | 'latches' | 'hoseM' | 'hoseInnerMm' | 'spares'>
  >
  purgesADay: string
  latches: string
  hoseM: string
  hoseInnerMm: string
  spares: string
  chambers: ChamberForm[]
  ownSteps: OwnStepForm[]
}

let nextKey = 1
const typed = (value: number | undefined) => (value === undefined ? '' : String(value))

export function newPlace(name: string): PlaceForm {
  return {
    key: nextKey++,
    name,
    kind: 'TRAY',
    emptiedInPlace: false,
    under: 'USUAL',
    holeMm: '',
    contents: [],
  }
}

export function newChamber(): ChamberForm {
  return { key: nextKey++, name: '', access: 'SEALED', places: [] }
}

export function newOwnStep(): OwnStepForm {
  return { key: nextKey++, moment: 'OPEN', before: 'AFTER', words: '' }
}

function chamberForm(chamber: Chamber): ChamberForm {
  const keys = chamber.places.map(() => nextKey++)
  return {
    key: nextKey++,
    name: chamber.name,
    access: chamber.access,
    places: chamber.places.map((place, i) => ({
      key: keys[i] ?? 0,
      name: place.name,
      kind: place.kind,
      emptiedInPlace: place.emptiedInPlace,
      under: !place.under
        ? 'USUAL'
        : place.under.length
          ? place.under.map((earlier) => keys[earlier] ?? 0)
          : 'NOTHING',
      holeMm: typed(place.holeMm),
      contents: place.contents.map((content) => ({
        key: nextKey++,
        stage: content.stage,
        packing: content.packing,
        litres: typed(content.litres),
        grainMm: typed(content.grainMm),
      })),
    })),
  }
}

export function fromPassport({ passport }: Pick<Filter, 'passport'>): InsideForm {
  return {
    build: {
      shutOff: passport.shutOff ?? 'NONE',
      fill: passport.fill ?? 'SELF',
      purge: passport.purge ?? 'NONE',
      ports: passport.ports ?? 'LID',
      wiggle: passport.wiggle ?? true,
      pump: passport.pump ?? 'HEAD',
      ventTube: passport.ventTube ?? false,
      pumpGuard: passport.pumpGuard ?? false,
      alignmentMark: passport.alignmentMark ?? false,
      opensWhereItStands: passport.opensWhereItStands ?? true,
      heater: passport.heater ?? 'TANK',
      lamp: passport.lamp ?? 'LID',
      dryGripSock: passport.dryGripSock ?? false,
    },
    purgesADay: typed(passport.purgesADay),
    latches: typed(passport.latches),
    hoseM: typed(passport.hoseM),
    hoseInnerMm: typed(passport.hoseInnerMm),
    spares: passport.spares ?? '',
    chambers: (passport.chambers ?? []).map(chamberForm),
    ownSteps: (passport.ownSteps ?? []).map((step) => ({
      key: nextKey++,
      moment: step.moment,
      before: step.before ? 'BEFORE' : 'AFTER',
      words: step.words,
    })),
  }
}

type NumberOf = (field: string, text: string) => number | undefined

function places(chamber: ChamberForm, at: string, number: NumberOf): Place[] {
  const keys = chamber.places.map((place) => place.key)
  return chamber.places.map((place, i) => ({
    name: place.name.trim(),
    kind: place.kind,
    emptiedInPlace: place.emptiedInPlace || place.kind === 'FIXED',
    under:
      place.under === 'USUAL'
        ? undefined
        : place.under === 'NOTHING'
          ? []
          : place.under.map((key) => keys.indexOf(key)).filter((earlier) => earlier >= 0),
    holeMm: number(`${at}.places[${String(i)}].holeMm`, place.holeMm),
    contents: place.contents.map((content, j) => ({
      stage: content.stage,
      packing: content.packing,
      litres: number(`${at}.places[${String(i)}].contents[${String(j)}].litres`, content.litres),
      grainMm: number(`${at}.places[${String(i)}].contents[${String(j)}].grainMm`, content.grainMm),
    })),
  }))
}

/** What was typed as the request wants it, and what is no number at its field. */
export function toPassport(form: InsideForm): { passport: Passport; errors: Record<string, string> } {
  const errors: Record<string, string> = {}
  const number: NumberOf = (field, text) => {
    const value = typedNumber(text)
    if (Number.isNaN(value)) errors[`passport.${field}`] = texts.thisIsNotA
    return value
  }
  const passport: Passport = {
    ...form.build,
    purgesADay: form.build.purge === 'DAILY' ? number('purgesADay', form.purgesADay) : 0,
    latches: number('latches', form.latches),
    hoseM: number('hoseM', form.hoseM),
    hoseInnerMm: number('hoseInnerMm', form.hoseInnerMm),
    spares: form.spares.trim(),
    chambers: form.chambers.map((chamber, i) => ({
      name: chamber.name.trim(),
      access: chamber.access,
      places: places(chamber, `chambers[${String(i)}]`, number),
    })),
    ownSteps: form.ownSteps.map((step) => ({
      moment: step.moment,
      before: step.before === 'BEFORE',
      words: step.words.trim(),
    })),
  }
  return { passport, errors }
}

/** A filter with this passport, as a change wants it; everything else as it was read. */
export function withPassport(filter: Filter, passport: Passport): Schemas['FilterInput'] {
  const unknown = filter.cleaned.sureness === 'UNKNOWN'
  return {
    name: filter.name,
    kind: filter.kind,
    direction: filter.direction,
    rating: filter.rating,
    fittedOn: filter.fittedOn,
    careFrom: unknown ? undefined : filter.cleaned.on,
    careSureness: filter.cleaned.sureness,
    stages: filter.stages.map(
      ({ id, kind, label, quantity, massG, make, bagged, fittedOn, size, lasting }) => ({
        id,
        kind,
        label,
        quantity,
        massG,
        make,
        bagged,
        fittedOn,
        size: size || undefined,
        lasting,
      }),
    ),
    passport,
  }
}

/** Stages that lie in a tray or box and have no place yet, by their number in the water path. */
export function unplaced(form: InsideForm, stages: Filter['stages']): number[] {
  const placed = new Set(
    form.chambers.flatMap((chamber) =>
      chamber.places.flatMap((place) => place.contents.map((one) => one.stage)),
    ),
  )
  return stages.flatMap((stage, i) => (stageWord(stage.kind).lies && !placed.has(i) ? [i] : []))
}

/** Takes a stage out of wherever it lies and puts it into a place, last. */
export function putInto(form: InsideForm, stage: number, place: PlaceForm) {
  const known = form.chambers
    .flatMap((chamber) => chamber.places)
    .flatMap((one) => one.contents)
    .find((content) => content.stage === stage)
  for (const one of form.chambers.flatMap((chamber) => chamber.places))
    one.contents = one.contents.filter((content) => content.stage !== stage)
  place.contents.push(known ?? { key: nextKey++, stage, packing: 'PIECE', litres: '', grainMm: '' })
}

/** Something of a list moved by one, to the front or to the back. */
export function moved<T>(list: T[], from: number, by: number): T[] {
  const one = list[from]
  const to = from + by
  if (one === undefined || to < 0 || to >= list.length) return list
  const rest = list.filter((_, i) => i !== from)
  return [...rest.slice(0, to), one, ...rest.slice(to)]
}

/** Removes a place; what lay on others because of it is forgotten, its contents wait for another place. */
export function removePlace(chamber: ChamberForm, key: number) {
  chamber.places = chamber.places
    .filter((place) => place.key !== key)
    .map((place) => {
      if (!Array.isArray(place.under)) return place
      const rest = place.under.filter((other) => other !== key)
      return { ...place, under: rest.length ? rest : 'NOTHING' }
    })
}
