import { Hypotheses, normalised, rowAt, type Outcome } from './hypotheses'
import { DONT_KNOW, judged, NETWORK, OTHER, questionOf, type Known, type Question } from './network'
import { Policy, rounded, type Next, type Told } from './policy'

/** A step of a case. */
export type Step =
  | { kind: 'DANGER'; about: string; value: string }
  | { kind: 'ANSWER'; about: string; value: string }
  | { kind: 'TRIED'; about: string; value: string }

/** A cause, or {@link OTHER}, with its probability; two at once count for both. */
export interface Likely {
  cause: string
  probability: number
}

export interface Standing {
  /** Likeliest first. */
  causes: Likely[]
  next: Next
  /** An earlier answer that does not fit the last one. */
  clash: string | undefined
  offersExit: boolean
}

const CLEARLY_BETTER = 1.5
const LIKELIEST = 5
const TELLS_APART = 0.2

/** Readings of the last day, as answers to the questions they answer. */
function readingsOf(known: Known): Map<string, string> {
  const { flowRatio, waterLevel, ammonia } = known.readings
  const read: Record<string, string | undefined> = {
    flowRatio:
      flowRatio === undefined
        ? undefined
        : flowRatio >= judged('flowNear')
          ? 'near'
          : flowRatio >= judged('flowLow')
            ? 'down'
            : 'low',
    waterLevel: waterLevel?.toLowerCase(),
    ammonia: ammonia === undefined ? undefined : ammonia > 0 ? 'some' : 'zero',
  }
  const answers = new Map<string, string>()
  for (const question of NETWORK.questions) {
    const answer = question.reads === undefined ? undefined : read[question.reads]
    if (answer !== undefined && (question.kinds as string[]).includes(known.kind))
      answers.set(question.id, answer)
  }
  return answers
}

function toldBy(known: Known, steps: Step[]): Told {
  const told: Told = { perils: new Map(), answers: readingsOf(known), tried: new Map() }
  for (const { kind, about, value } of steps) {
    if (kind === 'DANGER') told.perils.set(about, value)
    else if (kind === 'ANSWER') told.answers.set(about, value)
    else told.tried.set(about, value as Outcome)
  }
  return told
}

/** One complaint about one filter, weighed as the server weighs it. */
export class Inquiry {
  private readonly hypotheses: Hypotheses
  private readonly known: Known
  private readonly complaint: string

  constructor(known: Known, complaint: string, weights: Record<string, number> = {}) {
    this.known = known
    this.complaint = complaint
    this.hypotheses = new Hypotheses(known, complaint, weights)
  }

  /** Where it stands after some steps. */
  after(steps: Step[]): Standing {
    const told = toldBy(this.known, steps)
    const belief = this.belief(told.answers, told.tried)
    return {
      causes: this.ranked(belief),
      next: new Policy(this.known, this.complaint, this.hypotheses, told, belief).next(),
      clash: this.clash(steps),
      offersExit: steps.length >= judged('offerExitAfterSteps'),
    }
  }

  private belief(answers: Map<string, string>, tried: Map<string, Outcome>): number[] {
    let belief = this.hypotheses.prior
    const weigh = (likelihood: number[]) => {
      belief = belief.map((mass, h) => mass * (likelihood[h] ?? 0))
    }
    for (const [id, answer] of answers) {
      const question = questionOf(id)
      const place = placeOf(question, answer)
      if (place >= 0) weigh(this.hypotheses.likelihood(question, place))
    }
    for (const [repair, outcome] of tried) weigh(this.hypotheses.outcome(repair, outcome))
    return normalised(belief)
  }

  private ranked(belief: number[]): Likely[] {
    return this.hypotheses
      .byCause(belief)
      .map((probability, i) => ({ cause: this.hypotheses.causes[i]?.id ?? OTHER, probability }))
      .toSorted((a, b) => rounded(b.probability) - rounded(a.probability))
  }

  /** How likely an answer is by all that is known beside it. */
  private chance(
    question: Question,
    place: number,
    answers: Map<string, string>,
    tried: Told['tried'],
  ): number {
    const others = new Map(answers)
    others.delete(question.id)
    const belief = this.belief(others, tried)
    return this.hypotheses
      .likelihood(question, place)
      .reduce((sum, likely, h) => sum + likely * (belief[h] ?? 0), 0)
  }

  private clash(steps: Step[]): string | undefined {
    const last = steps.at(-1)
    if (last?.kind !== 'ANSWER') return undefined
    const question = questionOf(last.about)
    const place = placeOf(question, last.value)
    if (place < 0) return undefined
    const before = toldBy(this.known, steps.slice(0, -1))
    const answers = new Map(before.answers)
    answers.delete(question.id)
    const chance = this.chance(question, place, answers, before.tried)
    if (chance * question.answers.length >= judged('contradictionBelow')) return undefined
    let culprit: string | undefined
    let best = chance * CLEARLY_BETTER
    for (const [id, answer] of answers) {
      if (answer === DONT_KNOW) continue
      const without = new Map(answers)
      without.delete(id)
      const raised = this.chance(question, place, without, before.tried)
      if (rounded(raised) > rounded(best)) {
        best = raised
        culprit = id
      }
    }
    return culprit
  }

  /** The two likeliest causes that a question tells apart best; none if it hardly tells any apart. */
  apart(question: Question, causes: Likely[]): [string, string] | undefined {
    const likely = causes.filter(({ cause }) => cause !== OTHER).slice(0, LIKELIEST)
    const pairs = likely.flatMap((one, i) =>
      likely.slice(i + 1).map((other) => ({
        pair: [one.cause, other.cause] as [string, string],
        worth: Math.min(one.probability, other.probability) * distance(question, one.cause, other.cause),
        distance: distance(question, one.cause, other.cause),
      })),
    )
    const best = pairs.toSorted((a, b) => b.worth - a.worth).find((one) => one.distance > TELLS_APART)
    return best?.pair
  }

  /** How far each answer moves a cause, as a natural logarithm, by question. */
  moves(cause: string, steps: Step[]): { question: Question; answer: string; weight: number }[] {
    const told = toldBy(this.known, steps)
    return [...told.answers].flatMap(([id, answer]) => {
      const question = questionOf(id)
      const place = placeOf(question, answer)
      if (place < 0) return []
      const chance = this.chance(question, place, told.answers, told.tried)
      return [{ question, answer, weight: Math.log(this.hypotheses.alone(question, place, cause) / chance) }]
    })
  }
}

const placeOf = (question: Question, answer: string) => question.answers.findIndex((one) => one.id === answer)

/** How differently two causes answer a question, 0 alike to 1. */
const distance = (question: Question, one: string, other: string): number =>
  question.answers.reduce(
    (sum, _answer, i) => sum + Math.abs(rowAt(question, one, i) - rowAt(question, other, i)),
    0,
  ) / 2
