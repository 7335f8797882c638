import vocabulary from '../generated/vocabulary.json'
import type { Schemas } from './api/client'

type Setting = Schemas['Setting']

export interface Choice<V extends string> {
  value: V
  label: string
  hint?: string
}

export const WATER: Choice<Setting['water']>[] = [
  { value: 'FRESH', label: 'Fresh' },
  { value: 'COLD_FRESH', label: 'Cold fresh' },
  { value: 'BRACKISH', label: 'Brackish' },
  { value: 'MARINE', label: 'Marine' },
]

type Passport = Schemas['PassportInput']
type Of<K extends keyof Passport> = Choice<NonNullable<Passport[K]> & string>[]

export const SHUT_OFF: Of<'shutOff'> = [
  { value: 'NONE', label: 'No valves, or not sure', hint: 'The siphon is broken before any hose comes off.' },
  { value: 'VALVES', label: 'Valves at the couplings' },
  {
    value: 'BLOCK',
    label: 'A block for both hoses',
    hint: 'It fits one way only, so nothing has to be marked.',
  },
]

export const FILL: Of<'fill'> = [
  { value: 'OPEN_TOP', label: 'Before its lid goes on' },
  { value: 'CAP', label: 'Through a cap' },
  { value: 'PRIMER', label: 'By a primer' },
  { value: 'BULB', label: 'By a bulb in its hose' },
  { value: 'SELF', label: 'By its own siphon' },
]

export const PURGE: Of<'purge'> = [
  { value: 'NONE', label: 'Never' },
  { value: 'AT_START', label: 'Once after a start' },
  { value: 'DAILY', label: 'Some times a day', hint: 'It lets air out. That is no fault.' },
]

export const PORTS: Of<'ports'> = [
  { value: 'LID', label: 'To its head', hint: 'They come off before it is opened.' },
  { value: 'BODY', label: 'To its body', hint: 'They stay on while it is opened.' },
]

export const PUMP: Of<'pump'> = [
  { value: 'HEAD', label: 'In its head' },
  { value: 'BASE', label: 'In its base', hint: 'Everything comes out before a hand reaches it.' },
]

export const HEATER: Of<'heater'> = [
  { value: 'TANK', label: 'In the tank' },
  { value: 'SUMP', label: 'In the sump' },
  { value: 'IN_LINE', label: 'In a hose', hint: 'Off before the pump stops, on once water moves.' },
  { value: 'IN_FILTER', label: 'In this filter', hint: 'Off before the pump stops, on once water moves.' },
]

export const LAMP: Of<'lamp'> = [
  { value: 'LID', label: 'In its lid' },
  { value: 'LINE', label: 'In a hose' },
]

export const ACCESS: Choice<Schemas['ChamberInput']['access']>[] = [
  { value: 'SEALED', label: 'A lid that holds water in' },
  { value: 'HOOD', label: 'A cover' },
  { value: 'OPEN', label: 'Nothing' },
]

export const PLACE_KIND: Choice<Schemas['PlaceInput']['kind']>[] = [
  { value: 'TRAY', label: 'Tray', hint: 'lifted out with what is in it' },
  { value: 'CAGE', label: 'Cage', hint: 'stands beside the trays' },
  { value: 'FIXED', label: 'Part of the housing', hint: 'things are taken out of it' },
]

export const PACKING: Choice<Schemas['ContentInput']['packing']>[] = [
  { value: 'SHEET', label: 'Sheet' },
  { value: 'PIECE', label: 'Piece' },
  { value: 'BAG', label: 'In a bag' },
  { value: 'LOOSE', label: 'Loose' },
]

export const MOMENT: Choice<Schemas['OwnStepInput']['moment']>[] = [
  { value: 'DRAW', label: 'the rinse water is drawn' },
  { value: 'STOP', label: 'it is unplugged' },
  { value: 'SHUT', label: 'the water is shut in' },
  { value: 'OPEN', label: 'it is opened' },
  { value: 'TAKE_OUT', label: 'the parts come out' },
  { value: 'PUT_BACK', label: 'the parts go back' },
  { value: 'FILL', label: 'it is filled' },
  { value: 'LID', label: 'it is closed' },
  { value: 'START', label: 'it is started' },
  { value: 'HEATER_ON', label: 'the heater is turned on' },
]

export type Cleaned = 'NOW' | 'KNOWN' | 'ABOUT' | 'UNKNOWN'

export const CLEANED: Choice<Cleaned>[] = [
  { value: 'NOW', label: 'New, or cleaned today' },
  { value: 'KNOWN', label: 'On a day I know' },
  { value: 'ABOUT', label: 'On about this day' },
  {
    value: 'UNKNOWN',
    label: 'Nobody knows',
    hint: 'You will be asked once, when you log its first service.',
  },
]

export type Running = 'NEW' | 'WEEKS' | 'MONTHS' | 'YEARS' | 'DAY'

export const RUNNING: Choice<Running>[] = [
  {
    value: 'NEW',
    label: 'Just started',
    hint: 'Its bacteria are left alone for the first 60 days.',
  },
  { value: 'WEEKS', label: 'Some weeks', hint: 'Its bacteria are left alone until it is 60 days old.' },
  { value: 'MONTHS', label: 'Some months' },
  { value: 'YEARS', label: 'A year or longer' },
  { value: 'DAY', label: 'Since a day I know' },
]

export const STOCKING: Choice<Setting['stocking']>[] = [
  { value: 'LIGHT', label: 'Light' },
  { value: 'NORMAL', label: 'Normal' },
  { value: 'HEAVY', label: 'Heavy' },
  { value: 'OVER', label: 'Over' },
]

export const ANIMALS: Choice<NonNullable<Setting['animals']>[number]>[] = [
  { value: 'TURTLES', label: 'Turtles' },
  { value: 'AMPHIBIANS', label: 'Newts, frogs, axolotls' },
  { value: 'FRY', label: 'Fry' },
  { value: 'SHRIMP', label: 'Shrimp' },
  { value: 'SEAHORSES', label: 'Seahorses, pipefish' },
]

export const FEEDING: Choice<Setting['feeding']>[] = [
  { value: 'LIGHT', label: 'Light' },
  { value: 'NORMAL', label: 'Normal' },
  { value: 'HEAVY', label: 'Heavy' },
]

export const BACTERIA: Choice<Setting['bacteriaHome']>[] = [
  { value: 'MEDIA', label: 'Filter media' },
  { value: 'SUBSTRATE_AND_ROCK', label: 'Substrate and rock' },
  { value: 'BOTH', label: 'Both' },
]

export const TAP: Choice<Setting['tapWater']>[] = [
  { value: 'CHLORAMINE', label: 'Chloramine' },
  { value: 'CHLORINE', label: 'Chlorine' },
  { value: 'NEITHER', label: 'Neither' },
]

export const OPENING: Choice<Schemas['Schools']['opening']>[] = [
  { value: 'CONDITION_LED', label: 'By condition', hint: 'Learned from what you find, with a safety cap.' },
  { value: 'MAKERS_CALENDAR', label: 'By calendar', hint: 'Every 30 days, whatever is found.' },
]

export const SOCK: Choice<Schemas['Schools']['sock']>[] = [
  { value: 'CLARITY', label: 'Clarity', hint: 'Every one to four weeks.' },
  { value: 'NUTRIENT_EXPORT', label: 'Nutrient export', hint: 'Every three or four days.' },
]

export const RINSE: Choice<Schemas['Schools']['rinse']>[] = [
  { value: 'TANK_WATER', label: 'Tank water always' },
  { value: 'TAP_WHERE_SAFE', label: 'Tap where safe', hint: 'Only where the tap or the bacteria allow it.' },
]

export const THOROUGHNESS: Choice<Schemas['Schools']['thoroughness']>[] = [
  { value: 'LIGHT', label: 'Light', hint: 'Media swished and put back.' },
  { value: 'FULL', label: 'Full', hint: 'Housing and trays washed too.' },
]

/** What filters are made of, as the server has it. */
const VOCABULARY = vocabulary as unknown as Schemas['Vocabulary']

export const FILTER_KIND: Choice<Schemas['FilterView']['kind']>[] = VOCABULARY.filterKinds.map(
  ({ kind, label }) => ({ value: kind, label }),
)

export const DIRECTION: Choice<NonNullable<Schemas['FilterView']['direction']>>[] = [
  { value: 'BOTTOM_UP', label: 'Bottom to top' },
  { value: 'TOP_DOWN', label: 'Top to bottom' },
  { value: 'SIDE_THEN_TRAYS', label: 'Side foam, then trays' },
  { value: 'TWO_CHAMBER', label: 'Two chambers' },
]

export type StageKind = Schemas['StageView']['kind']

export type StageWord = Schemas['StageWord']

export const STAGE_KIND: Choice<StageKind>[] = VOCABULARY.stageKinds.map(({ kind, label }) => ({
  value: kind,
  label,
}))

const STAGE_WORDS = new Map(VOCABULARY.stageKinds.map((word) => [word.kind, word]))

/** What a kind of stage is called, made of and measured by. */
export function stageWord(kind: StageKind): StageWord {
  const word = STAGE_WORDS.get(kind)
  if (!word) throw new Error(`no words for ${kind}`)
  return word
}

export type Finding = NonNullable<Schemas['Done']['finding']>

/** The five grades in order; keys 1 to 5. Words that anchor each, so that they mean the same to everyone. */
export const FINDINGS: (Choice<Finding> & { hint: string })[] = [
  { value: 'CLEAN', label: 'clean', hint: 'like new' },
  { value: 'LIGHT', label: 'light', hint: 'colour still even' },
  { value: 'MODERATE', label: 'moderate', hint: 'pores half shut' },
  { value: 'HEAVY', label: 'heavy', hint: 'slimy, hard to see through' },
  { value: 'CLOGGED', label: 'clogged', hint: 'water went round it' },
]

export function labelOf<V extends string>(choices: Choice<V>[], value: V | undefined): string {
  return choices.find((choice) => choice.value === value)?.label ?? ''
}

/** Animals of a tank in a row of words; empty where none asks for more than most do. */
export const animalWords = (animals: Setting['animals']) =>
  ANIMALS.filter(({ value }) => animals?.includes(value))
    .map(({ label }) => label.toLowerCase())
    .join(', ')

export const gradeOf = (finding: Finding) => FINDINGS.findIndex((choice) => choice.value === finding)

/** Words that begin a sentence. */
export const upperFirst = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)

/** Words that stand inside a sentence. */
export const lowerFirst = (words: string) => words.charAt(0).toLowerCase() + words.slice(1)

/** "1 minute", "2 minutes". */
export const counted = (count: number, thing: string): string =>
  `${String(count)} ${thing}${count === 1 ? '' : 's'}`
