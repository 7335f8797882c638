import { texts } from './texts'
import type { Schemas } from '@/shared/api/client'
import { today } from '@/shared/dates'
import { typedNumber } from '@/shared/units'
import { stageWord, type Cleaned } from '@/shared/words'
import type { Filter, FilterInput, Template } from './queries'

export type Passport = Schemas['PassportInput']
export type LastingField = 'ratedHours' | 'litHoursADay' | 'startsADay' | 'rollM' | 'rinses'

const LASTING: LastingField[] = ['ratedHours', 'litHoursADay', 'startsADay', 'rollM', 'rinses']

const lastingOf = (of: (field: LastingField) => string) =>
  Object.fromEntries(LASTING.map((field) => [field, of(field)])) as Record<LastingField, string>

/** A stage being edited; numbers as typed. */
export interface StageForm {
  /** Stable while editing; new stages have no id yet. */
  key: number
  id?: number
  kind: FilterInput['stages'][number]['kind']
  label: string
  quantity: string
  massG: string
  make: FilterInput['stages'][number]['make']
  bagged: boolean
  /** What a spare of it must be. */
  size: string
  fittedOn: string
  /** As on its label, and how it is run. */
  lasting: Record<LastingField, string>
}

/** A filter being edited; numbers as typed. */
export interface FilterForm {
  name: string
  kind: FilterInput['kind']
  direction: NonNullable<FilterInput['direction']>
  flowLph: string
  powerW: string
  maxHeadM: string
  liftM: string
  fittedOn: string
  cleaned: Cleaned
  careFrom: string
  shutOff: NonNullable<Passport['shutOff']>
  fill: NonNullable<Passport['fill']> | ''
  stages: StageForm[]
  /** What else is known of how it is built, and what sits where; places name stages by the number they had when read. */
  read?: { passport: Passport; stated: boolean; keys: number[] }
}

let nextKey = 1

export function stageOf(kind: StageForm['kind'], make: StageForm['make']): StageForm {
  return {
    key: nextKey++,
    kind,
    label: '',
    quantity: '1',
    massG: '',
    make,
    bagged: false,
    fittedOn: '',
    size: '',
    lasting: lastingOf(() => ''),
  }
}

export function pathOf(template: Template | undefined): StageForm[] {
  return (template?.stages ?? []).map((stage) => stageOf(stage.kind, stage.make))
}

export function blankFilter(): FilterForm {
  return {
    name: '',
    kind: 'CANISTER',
    direction: 'BOTTOM_UP',
    flowLph: '',
    powerW: '',
    maxHeadM: '',
    liftM: '',
    fittedOn: '',
    cleaned: 'UNKNOWN',
    careFrom: '',
    shutOff: 'NONE',
    fill: '',
    stages: [],
  }
}

/** When it was last cleaned, and how surely. */
export function cleanedOn(form: FilterForm): Schemas['CleanedInput'] {
  switch (form.cleaned) {
    case 'NOW':
      return { on: today(), sureness: 'EXACT' }
    case 'KNOWN':
      return { on: form.careFrom || undefined, sureness: 'EXACT' }
    case 'ABOUT':
      return { on: form.careFrom || undefined, sureness: 'ABOUT' }
    case 'UNKNOWN':
      return { sureness: 'UNKNOWN' }
  }
}

const typed = (value: number | undefined) => (value === undefined ? '' : String(value))

export function fromFilter(filter: Filter): FilterForm {
  const stages = filter.stages.map((stage) => ({
    key: nextKey++,
    id: stage.id,
    kind: stage.kind,
    label: stage.label,
    quantity: String(stage.quantity),
    massG: typed(stage.massG),
    make: stage.make,
    bagged: stage.bagged,
    fittedOn: stage.fittedOn ?? '',
    size: stage.size,
    lasting: lastingOf((field) => typed(stage.lasting[field])),
  }))
  return {
    name: filter.name,
    kind: filter.kind,
    direction: filter.direction ?? 'BOTTOM_UP',
    flowLph: typed(filter.rating.flowLph),
    powerW: typed(filter.rating.powerW),
    maxHeadM: typed(filter.rating.maxHeadM),
    liftM: typed(filter.rating.liftM),
    fittedOn: filter.fittedOn ?? '',
    cleaned: { EXACT: 'KNOWN', ABOUT: 'ABOUT', UNKNOWN: 'UNKNOWN' }[filter.cleaned.sureness] as Cleaned,
    careFrom: filter.cleaned.sureness === 'UNKNOWN' ? '' : filter.cleaned.on,
    shutOff: filter.passport.shutOff ?? 'NONE',
    fill: filter.passport.fill ?? '',
    stages,
    read: { passport: filter.passport, stated: filter.placesStated, keys: stages.map((stage) => stage.key) },
  }
}

/** A new filter built and filled like one that is there: its path and its inside, without its name, age and log. */
export function likeFilter(filter: Filter): FilterForm {
  const form = fromFilter(filter)
  return {
    ...form,
    name: '',
    fittedOn: '',
    cleaned: 'NOW',
    careFrom: '',
    stages: form.stages.map((stage) => ({ ...stage, id: undefined, fittedOn: '' })),
  }
}

/**
 * What sits where, after stages were added, removed or moved: each place keeps its own, and a new stage that lies in no place
 * yet has a tray of its own at the end.
 */
export function chambersAfter(form: FilterForm): Passport['chambers'] {
  const { read } = form
  if (!read?.stated) return undefined
  const placed = new Set<number>()
  const chambers = (read.passport.chambers ?? []).map((chamber) => ({
    ...chamber,
    places: chamber.places.map((place) => ({
      ...place,
      contents: place.contents.flatMap((content) => {
        const now = form.stages.findIndex((stage) => stage.key === read.keys[content.stage])
        if (now < 0) return []
        placed.add(now)
        return [{ ...content, stage: now }]
      }),
    })),
  }))
  const loose = form.stages.flatMap((stage, i) =>
    stageWord(stage.kind).lies && !placed.has(i) ? [{ stage, i }] : [],
  )
  for (const { stage, i } of loose) {
    chambers.at(-1)?.places.push({
      name: texts.theTrayOfThe((stage.label || stageWord(stage.kind).label).toLowerCase()),
      kind: 'TRAY',
      emptiedInPlace: false,
      contents: [{ stage: i, packing: stage.bagged ? 'BAG' : 'PIECE' }],
    })
  }
  return chambers
}

/** What was typed as the request wants it, and what is no number at its field. */
export function toInput(form: FilterForm): { input: FilterInput; errors: Record<string, string> } {
  const errors: Record<string, string> = {}
  const number = (field: string, text: string) => {
    const value = typedNumber(text)
    if (Number.isNaN(value)) errors[field] = texts.thisIsNotA
    return value
  }
  const stages = form.stages.map((stage, i) => ({
    id: stage.id,
    kind: stage.kind,
    label: stage.label,
    quantity: number(`stages[${String(i)}].quantity`, stage.quantity) ?? 0,
    massG: number(`stages[${String(i)}].massG`, stage.massG),
    make: stage.make,
    bagged: stage.bagged,
    fittedOn: stage.fittedOn || undefined,
    size: stage.size.trim() || undefined,
    lasting: {
      ratedHours: number(`stages[${String(i)}].lasting.ratedHours`, stage.lasting.ratedHours),
      litHoursADay: number(`stages[${String(i)}].lasting.litHoursADay`, stage.lasting.litHoursADay),
      startsADay: number(`stages[${String(i)}].lasting.startsADay`, stage.lasting.startsADay),
      rollM: number(`stages[${String(i)}].lasting.rollM`, stage.lasting.rollM),
      rinses: number(`stages[${String(i)}].lasting.rinses`, stage.lasting.rinses),
    },
  }))
  const rating = {
    flowLph: number('rating.flowLph', form.flowLph),
    powerW: number('rating.powerW', form.powerW),
    maxHeadM: number('rating.maxHeadM', form.maxHeadM),
    liftM: number('rating.liftM', form.liftM),
  }
  if (['KNOWN', 'ABOUT'].includes(form.cleaned) && !form.careFrom) errors.careFrom = texts.whichDayWasIt
  const input: FilterInput = {
    name: form.name,
    kind: form.kind,
    direction: form.kind === 'CANISTER' ? form.direction : undefined,
    rating,
    fittedOn: form.fittedOn || undefined,
    careFrom: cleanedOn(form).on,
    careSureness: cleanedOn(form).sureness,
    passport: {
      ...form.read?.passport,
      shutOff: form.shutOff,
      fill: form.fill || undefined,
      chambers: chambersAfter(form),
    },
    stages,
  }
  return { input, errors }
}
