import { texts } from './texts'
import type { Filter } from '@/features/filter'
import type { Forecast } from '@/features/interval'
import type { Tank } from '@/features/tank'
import { daysBetween, shortDay, today, type Day } from '@/shared/dates'
import type { Schemas } from '@/shared/api/client'
import { say, unitOf } from '@/shared/units'
import type { Given, Kept, Sum, Vessel } from './queries'

/** A value that stands in a field before anybody typed, and where it comes from. */
export interface Origin {
  value: unknown
  from: string
}

/** What is known of the tank that was chosen. */
export interface Known {
  tank?: Tank['tank']
  filter?: Filter
  filters?: Filter[]
  water?: Schemas['WaterView']
  forecasts?: Forecast[]
  services?: Schemas['ServiceView'][]
  stores?: Schemas['StoresView']
  vessels?: Vessel[]
  kept?: Kept[]
}

type Origins = Record<string, Origin | undefined>

const MM3_A_LITRE = 1e6
const LIT_ALL_DAY = 24
const USUAL_SHARE = 0.25
const POURED_KG_A_LITRE = 0.6
const WITH_FOOTPRINT = new Set(['change', 'siphon', 'topoff', 'draindown'])
const FOOTPRINT = ['lengthMm', 'widthMm']

const from = (value: unknown, words: string): Origin | undefined =>
  value === undefined || value === null ? undefined : { value, from: words }

/** What stands in the fields of a sum: what is measured or said of the tank, then what was kept, then what is usual. */
export function prefill(sum: Sum, known: Known): Record<string, Origin> {
  const live = { ...ofTank(known), ...ofFilter(known), ...ofVessels(known), ...special(sum.name, known) }
  const kept = ofKept(sum, known.kept ?? [])
  const usual = ofHabit(sum.name, known)
  const found: Record<string, Origin> = {}
  for (const { name } of sum.fields) {
    const origin = live[name] ?? kept[name] ?? usual[name]
    if (origin) found[name] = origin
  }
  return found
}

function reading(known: Known, parameter: string): Origin | undefined {
  const last = known.water?.last.find((one) => one.parameter === parameter)
  return last && from(last.amount, texts.read(shortDay(last.takenAt.slice(0, 10))))
}

function ofTank(known: Known): Origins {
  const { tank, water } = known
  const tap = water?.tap.find((one) => one.parameter === 'NITRATE')
  const production = water?.production.find((one) => one.parameter === 'NITRATE')
  const warm = reading(known, 'TEMPERATURE')
  return {
    netL: from(tank?.netVolumeL, texts.fromTheTank),
    stocking: from(tank?.setting.stocking, texts.fromTheTank),
    tankC: warm,
    targetC: warm && { ...warm, from: texts.asTheTank(warm.from) },
    toC: warm && { ...warm, from: texts.asTheTank(warm.from) },
    celsius: warm,
    now: reading(known, 'NITRATE'),
    tap: from(tap?.amount, texts.yourTapWaterAs),
    perWeek: from(production?.perWeek, texts.measuredFromYourReadings),
    total: reading(known, 'AMMONIA'),
    ph: reading(known, 'PH'),
    saltGL: reading(known, 'SALINITY'),
    fromGL: reading(known, 'SALINITY'),
  }
}

/** What the plate and the log say of a filter, by the names of fields. */
export function ofFilter(known: Known): Origins {
  const { filter } = known
  if (!filter) return {}
  const plate = texts.fromThePlateOf(filter.name)
  const flows = (known.services ?? []).flatMap((service) =>
    service.flows
      .filter((flow) => flow.filterId === filter.id)
      .map((flow) => ({ ...flow, on: service.doneOn })),
  )
  const clean = flows.find((flow) => flow.afterLph !== undefined)
  const last = flows
    .map((flow) => ({ lph: flow.afterLph ?? flow.beforeLph, on: flow.on }))
    .find((one) => one.lph)
  const opening = known.forecasts?.find(
    (one) => one.subject.filterId === filter.id && one.loading && !one.subject.stageId,
  )
  const measured = last && from(last.lph, texts.measured(shortDay(last.on)))
  return {
    ratedLph: from(filter.rating.flowLph, plate),
    maxHeadM: from(filter.rating.maxHeadM, plate),
    liftM: from(filter.rating.liftM, texts.from(filter.name)),
    kind: from(filter.kind, texts.from(filter.name)),
    cleanLph: clean && from(clean.afterLph, texts.afterTheServiceOf(shortDay(clean.on))),
    measuredLph: measured,
    flowLph: measured ?? half(filter.rating.flowLph),
    loading:
      opening?.loading && from(Math.min(1.5, opening.loading.likely), texts.likelyByNowIn(filter.name)),
  }
}

/** What keepers expect of a pump behind media until they catch it. */
const half = (plate: number | undefined): Origin | undefined =>
  plate === undefined ? undefined : { value: plate / 2, from: texts.halfOfThePlate }

function ofVessels(known: Known): Origins {
  const tubs = (known.vessels ?? []).filter((one) => one.kind === 'TUB')
  const cap = known.vessels?.find((one) => one.kind === 'CAP')
  const own = tubs.length > 0
  return {
    tubsL: own
      ? from(
          tubs.slice(0, 10).map((one) => one.millilitres / 1000),
          texts.yourTubs,
        )
      : from(known.tank && [known.tank.setting.bucketL ?? 8], texts.theTanksBucket),
    unitMl: cap && from(cap.millilitres, cap.name),
  }
}

function special(sum: string, known: Known): Origins {
  switch (sum) {
    case 'need':
      return { have: mediaThere(known.filters ?? []) }
    case 'buckets':
      return { mediaL: mediaOf(known.filter) }
    case 'service':
      return { tasks: tasksOf(known) }
    case 'cost':
      return { options: nowOf(known) }
    case 'socks':
      return socksOf(known)
    case 'uv':
      return { lamps: lampsOf(known) }
    case 'conditioner':
      return { stockMl: bottle(known) }
    case 'topoff':
      return {
        returnLph: from(
          known.filter?.kind === 'SUMP' ? known.filter.rating.flowLph : undefined,
          texts.fromThePlate,
        ),
      }
    default:
      return {}
  }
}

/** The media that was weighed in a tank's filters. */
export function mediaThere(filters: Filter[]): Origin | undefined {
  const rows = filters
    .flatMap((filter) => filter.stages)
    .filter((stage) => stage.kind === 'BIO_MEDIA' && stage.massG !== undefined)
    .map((stage) => ({ media: 'POROUS', kg: (stage.massG ?? 0) / 1000 }))
  return rows.length ? { value: rows, from: texts.fromItsFiltersTaken } : undefined
}

function mediaOf(filter?: Filter): Origin | undefined {
  const grams = (filter?.stages ?? []).reduce((sum, stage) => sum + (stage.massG ?? 0), 0)
  return grams > 0
    ? { value: grams / 1000 / POURED_KG_A_LITRE, from: texts.ofMediaAsPoured(say('MASS', grams)) }
    : undefined
}

function intervalOf(known: Known, task: number): number | undefined {
  return known.forecasts?.find((one) => one.subject.taskId === task)?.intervalDays
}

function tasksOf(known: Known): Origin | undefined {
  const rows = (known.filter?.tasks ?? [])
    .filter((task) => task.mode !== 'OFF' && !task.withOpening)
    .map((task) => ({
      minutes: task.catalogue.minutes,
      everyDays: intervalOf(known, task.id) ?? task.fixedDays ?? task.catalogue.startDays,
    }))
  return rows.length ? { value: rows, from: texts.theTasksOfAt(known.filter?.name ?? '') } : undefined
}

/** The way it is kept now, as far as the filter tells; the other way is the keeper's to say. */
function nowOf(known: Known): Origin | undefined {
  const tasks = tasksOf(known)
  if (!known.filter || !tasks || known.kept?.some((one) => one.sum === 'cost')) return undefined
  const now = { watts: known.filter.rating.powerW, work: tasks.value }
  return { value: [now, { watts: known.filter.rating.powerW }], from: texts.nowAsIsKept(known.filter.name) }
}

function socksOf(known: Known): Origins {
  const stage = known.filter?.stages.find((one) => one.kind === 'SOCK')
  const task = known.filter?.tasks.find((one) => one.stageId === stage?.id)
  const item = known.stores?.items.find((one) => one.item.turned)
  if (!stage || !task) return {}
  return {
    inUse: from(stage.quantity, texts.from(known.filter?.name ?? '')),
    changeDays: from(intervalOf(known, task.id), texts.asLearned),
    washDays: from(item?.item.washEveryDays, texts.fromStores),
    own: item?.shelf && from(item.shelf.ready + item.shelf.dirty + stage.quantity, texts.fromStoresWithThose),
  }
}

/** Since when a lamp burns, as logged or else as it was entered, and the hours it was lit; undefined if nobody knows. */
export function burning(
  known: Known,
  stage: Filter['stages'][number],
): { since: Day; hours: number } | undefined {
  const task = known.filter?.tasks.find((one) => one.stageId === stage.id)
  const cleaned = task?.catalogue.cleaned
  const since = known.forecasts?.find((one) => one.subject.taskId === task?.id)?.since ?? cleaned?.on
  if (since === undefined || (cleaned?.sureness === 'UNKNOWN' && since === cleaned.on)) return undefined
  return { since, hours: daysBetween(since, today()) * (stage.lasting.litHoursADay ?? LIT_ALL_DAY) }
}

export const lampsIn = (filter?: Filter) => (filter?.stages ?? []).filter((stage) => stage.kind === 'UV_LAMP')

function lampsOf(known: Known): Origin | undefined {
  const rows = lampsIn(known.filter).map((stage) => {
    const lamp = burning(known, stage)
    return lamp ? { hours: lamp.hours } : {}
  })
  return rows.length ? { value: rows, from: texts.byTheDaysSince } : undefined
}

function bottle(known: Known): Origin | undefined {
  const item = known.stores?.items.find(
    (one) => one.item.unit === 'MILLILITRE' && /condition|chlor/i.test(one.item.name),
  )
  return item?.shelf && from(item.shelf.ready, texts.fromStores)
}

/** What can harm is asked every time; it is never taken from the last. */
function ofKept({ name: sum, fields }: Sum, kept: Kept[]): Origins {
  const asked = new Set(fields.filter((field) => field.type === 'FLAG').map((field) => field.name))
  const origins: Origins = {}
  const sources = kept.filter(
    (one) => one.sum === sum || (WITH_FOOTPRINT.has(sum) && WITH_FOOTPRINT.has(one.sum)),
  )
  for (const source of sources.toSorted((a, b) => Number(b.sum === sum) - Number(a.sum === sum))) {
    for (const [name, value] of Object.entries(source.given as Given)) {
      if (asked.has(name) || (source.sum !== sum && !FOOTPRINT.includes(name))) continue
      origins[name] ??= from(value, texts.asYouGaveIt(shortDay(source.keptAt.slice(0, 10))))
    }
  }
  return origins
}

/** Litres in a millimetre of a tank's level, by the footprint that was given last; undefined if none was. */
export function litresAMmOf(kept: Kept[]): number | undefined {
  const given = kept.find(
    (one) => WITH_FOOTPRINT.has(one.sum) && one.given.lengthMm && one.given.widthMm,
  )?.given
  return given && (Number(given.lengthMm) * Number(given.widthMm)) / MM3_A_LITRE
}

/** Litres that a millilitre of the conditioner treats, by what was last given of its bottle. */
function ofTheBottle(kept: Kept[]): Origin | undefined {
  const given = kept.find((one) => one.sum === 'conditioner')?.given
  const treats = Number(given?.labelL) / Number(given?.labelMl)
  return Number.isFinite(treats) && treats > 0 ? from(treats, texts.byTheBottleOf) : undefined
}

function ofHabit(sum: string, known: Known): Origins {
  const net = known.tank?.netVolumeL
  const quarter = net && from(net * USUAL_SHARE, texts.aQuarterOfThe)
  const share = from(USUAL_SHARE, texts.aQuarterAsIs)
  switch (sum) {
    case 'change':
      return { share }
    case 'mix':
    case 'heat':
    case 'siphon':
      return { litres: quarter || undefined, share }
    case 'conditioner':
      return { newL: quarter || undefined }
    case 'schedule':
      return { share, everyDays: from(7, 'weekly') }
    case 'salt':
      return { litres: from(net, texts.fromTheTank) }
    case 'resin':
      return { treatsLPerMl: ofTheBottle(known.kept ?? []) }
    case 'unit':
      return unitOf('VOLUME').symbol === 'L'
        ? { from: from('galUS', texts.whatPacketsOftenSay), to: from('L', texts.asYouReadVolumes) }
        : { from: from('L', texts.whatPacketsOftenSay), to: from('galUS', texts.asYouReadVolumes) }
    default:
      return {}
  }
}
