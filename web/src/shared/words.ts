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

export const VALVES: Choice<Schemas['FilterView']['valves']>[] = [
  { value: 'NONE', label: 'No valves, or not sure', hint: 'The siphon is broken before any hose comes off.' },
  { value: 'AT_COUPLINGS', label: 'Valves at the couplings' },
]

export const FILL: Choice<Schemas['FilterView']['fill']>[] = [
  { value: 'OPEN_TOP', label: 'Before its lid goes on' },
  { value: 'CAP', label: 'Through a cap' },
  { value: 'SELF', label: 'By itself or a primer' },
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

export const gradeOf = (finding: Finding) => FINDINGS.findIndex((choice) => choice.value === finding)

/** Words that begin a sentence. */
export const upperFirst = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)

/** Words that stand inside a sentence. */
export const lowerFirst = (words: string) => words.charAt(0).toLowerCase() + words.slice(1)

/** "1 minute", "2 minutes". */
export const counted = (count: number, thing: string): string =>
  `${String(count)} ${thing}${count === 1 ? '' : 's'}`
