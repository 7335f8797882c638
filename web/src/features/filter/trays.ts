import { texts } from './texts'
import type { Schemas } from '@/shared/api/client'
import { counted } from '@/shared/words'
import type { Chamber } from './inside'

/** A stage as the picture needs it. */
export type Part = Pick<Schemas['StagePart'], 'id' | 'kind' | 'name'>

/** Something that can be out: a place by its number among all, or a stage by its id. */
export type Thing = `place-${number}` | `stage-${number}`

/** What has happened inside so far. */
export interface Inside {
  lidOff: boolean
  /** What is out, and the tub it is in; undefined for what lies aside. */
  out: Map<Thing, number | undefined>
  /** What the hand does next: lifts something, puts it back, or works on it. */
  next?: { thing: Thing | 'lid'; way: 'out' | 'back' | 'work' }
}

export const SHUT: Inside = { lidOff: false, out: new Map() }

type Step = Schemas['StepView']

function thingOf(step: Step): Thing | undefined {
  if (step.place !== undefined) return `place-${step.place}`
  return step.stageId === undefined ? undefined : `stage-${step.stageId}`
}

const OUT: Step['effects'] = ['PART_OUT', 'PLACE_OUT']
const IN: Step['effects'] = ['PART_IN', 'PLACE_IN']

/** What is put in without having come out lies aside from the start, as when a filter is put together. */
function atFirst(steps: Step[]): Inside {
  const does = (step: Step, effects: Step['effects']) => step.effects.some((one) => effects.includes(one))
  const inside: Inside = {
    lidOff:
      steps.some((step) => step.effects.includes('FILTER_SHUT')) &&
      !steps.some((step) => step.effects.includes('FILTER_OPENED')),
    out: new Map(),
  }
  for (const step of steps.filter((one) => does(one, IN))) {
    const thing = thingOf(step)
    const came = steps.some((one) => does(one, OUT) && thingOf(one) === thing)
    if (thing && !came) inside.out.set(thing, undefined)
  }
  return inside
}

/** Replays what was ticked. */
export function insideAfter(steps: Step[], done: Set<string>, current: Step | undefined): Inside {
  const inside = atFirst(steps)
  for (const step of steps.filter(({ id }) => done.has(id))) {
    const thing = thingOf(step)
    if (step.effects.includes('FILTER_OPENED')) inside.lidOff = true
    if (step.effects.includes('FILTER_SHUT')) inside.lidOff = false
    if (!thing) continue
    if (step.effects.includes('PART_OUT') || step.effects.includes('PLACE_OUT'))
      inside.out.set(thing, step.tub)
    else if (step.effects.includes('PART_IN') || step.effects.includes('PLACE_IN')) inside.out.delete(thing)
  }
  return current ? { ...inside, next: nextOf(current) } : inside
}

function nextOf(step: Step): Inside['next'] {
  if (step.effects.includes('FILTER_OPENED')) return { thing: 'lid', way: 'out' }
  if (step.effects.includes('FILTER_SHUT')) return { thing: 'lid', way: 'back' }
  const thing = thingOf(step)
  if (!thing) return undefined
  if (step.effects.includes('PART_OUT') || step.effects.includes('PLACE_OUT')) return { thing, way: 'out' }
  if (step.effects.includes('PART_IN') || step.effects.includes('PLACE_IN')) return { thing, way: 'back' }
  return { thing, way: 'work' }
}

/** Which way the hand goes next. */
export const arrowOf = (inside: Inside) => ({ out: '↑', back: '↓', work: '•' })[inside.next?.way ?? 'work']

/** How many tubs of tank water a service has. */
export function tubsOf(steps: Step[]): number {
  const named = Math.max(0, ...steps.map((step) => step.tub ?? 0))
  return Math.max(named, steps.some(({ id }) => id.split(':')[0] === 'second') ? 2 : 0)
}

/** A content of a place, with its stage. */
export interface Lying {
  part: Part
  thing: Thing
}

/** A place of the picture: where it is, and what is left in it. */
export interface Drawn {
  thing: Thing
  name: string
  kind: Chamber['places'][number]['kind']
  contents: Lying[]
  /** It came out with something in it. */
  lifted: boolean
}

/** Chambers as they are drawn, with every place numbered through all of them. */
export function drawnOf(chambers: Chamber[], parts: Part[], inside: Inside) {
  let number = 0
  return chambers.map((chamber) => ({
    name: chamber.name,
    sealed: chamber.access === 'SEALED',
    places: chamber.places.map((place): Drawn => {
      const thing: Thing = `place-${number++}`
      const contents = place.contents.flatMap((content): Lying[] => {
        const part = parts[content.stage]
        return part ? [{ part, thing: `stage-${part.id}` as const }] : []
      })
      return { thing, name: place.name, kind: place.kind, contents, lifted: inside.out.has(thing) }
    }),
  }))
}

const WAYS = { out: 'lift', back: texts.putBack, work: texts.workOn }

/** What the picture shows, as a sentence. */
export function insideSentence(chambers: Chamber[], parts: Part[], inside: Inside): string {
  const places = chambers.flatMap((chamber) => chamber.places)
  const name = (thing: Thing) => {
    const number = Number(thing.slice(thing.indexOf('-') + 1))
    return thing.startsWith('place-')
      ? (places[number]?.name ?? '')
      : (parts.find((part) => part.id === number)?.name ?? '')
  }
  const out = [...inside.out].map(
    ([thing, tub]) => `${name(thing)} ${tub === undefined ? 'aside' : texts.inTub(tub)}`,
  )
  const { next } = inside
  return [
    places.length
      ? texts.fromTheTop(counted(places.length, 'place'), places.map((place) => place.name).join(', '))
      : texts.nobodySaidYetWhat,
    inside.lidOff ? texts.theHeadIsOff : '',
    out.length ? texts.out(out.join(', ')) : '',
    next && next.thing !== 'lid' ? texts.next(WAYS[next.way], name(next.thing)) : '',
  ]
    .filter(Boolean)
    .join(' ')
}
