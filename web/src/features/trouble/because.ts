import { texts } from './texts'
import { counted } from '@/shared/words'
import { FINDINGS } from '@/shared/words'
import type { Inquiry, Step } from './finder'
import { factorOf, foundBy } from './modifiers'
import { causeOf, judged, OTHER, questionOf, type Known, type Modifier } from './network'

const TELLS = 0.1
const TELLS_AGAINST = -0.3
const MOST = 3

/** Words for what is on record: "the impeller was last cleaned 410 days ago". */
export function recordWords(modifier: Modifier, value: number): string {
  const words = modifier.form === 'FLAG' && value === 0 ? (modifier.unless ?? modifier.why) : modifier.why
  const days = Math.round(value)
  return words
    .replace('{days} ago', days === 0 ? 'today' : days === 1 ? 'yesterday' : texts.daysAgo(days))
    .replace('{days}', counted(days, 'day'))
    .replace('{value} full', value > 1 ? texts.pastFull : texts.full(percent(value)))
    .replace('{value} of its hours', value > 1 ? texts.allOfItsHours : texts.ofItsHours(percent(value)))
    .replace('{value} hours', counted(Math.round(value * 2) / 2, 'hour'))
    .replace('{value}', FINDINGS[value]?.label ?? String(value))
}

const percent = (share: number) => `${String(Math.round(share * 100))} %`

/** What was answered, in words: "Is the water at its mark?: Below". */
export function answerWords(question: string, answer: string): string {
  return questionOf(question).answers.find((one) => one.id === answer)?.words ?? 'Don’t know'
}

function seenWords(question: string, answer: string): string {
  return texts.youAnsweredTo(answerWords(question, answer), questionOf(question).ask)
}

export interface Because {
  /** Most telling first; empty where it is simply common. */
  reasons: string[]
  against: string | undefined
}

/** Why a cause is thought likely, from this tank's log and what was seen. */
export function becauseOf(cause: string, inquiry: Inquiry, known: Known, steps: Step[]): Because {
  if (cause === OTHER) return { reasons: [texts.whatWasSeenFits], against: undefined }
  const damp = judged('damp')
  const grounds = [
    ...causeOf(cause).modifiers.flatMap((modifier) => {
      const value = foundBy(modifier, known)
      const weight = damp * Math.log(factorOf(modifier, known))
      return value === undefined ? [] : [{ words: recordWords(modifier, value), weight }]
    }),
    ...inquiry.moves(cause, steps).map(({ question, answer, weight }) => ({
      words: seenWords(question.id, answer),
      weight,
    })),
  ].toSorted((a, b) => b.weight - a.weight)
  const reasons = grounds
    .filter(({ weight }) => weight > TELLS)
    .slice(0, MOST)
    .map(({ words }) => words)
  const last = grounds.at(-1)
  return {
    reasons,
    against: last && last.weight < TELLS_AGAINST ? last.words : undefined,
  }
}

/** A chance in words; never certain. */
export function chanceWords(probability: number): string {
  if (probability >= 0.8) return texts.veryLikely
  if (probability >= 0.5) return 'likely'
  return probability >= 0.25 ? 'possible' : 'unlikely'
}
