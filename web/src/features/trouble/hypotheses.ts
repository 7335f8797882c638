import { factorOf } from './modifiers'
import {
  ASK_OTHERS,
  fits,
  judged,
  NETWORK,
  OTHER,
  repairFor,
  type Cause,
  type Known,
  type Question,
} from './network'

export type Outcome = 'solved' | 'partly' | 'no-change'

const PAIRED = 10

/** How likely an outcome is if a repair mends all causes that are there, one of two, or none. */
const OUTCOMES: Record<Outcome, { all: number; one: number; none: number }> = {
  solved: { all: 0.93, one: 0.05, none: 0.01 },
  partly: { all: 0.02, one: 0.65, none: 0.04 },
  'no-change': { all: 0.05, one: 0.3, none: 0.95 },
}

const sumOf = (values: number[]) => values.reduce((sum, value) => sum + value, 0)

export function normalised(masses: number[]): number[] {
  const sum = sumOf(masses)
  return sum > 0 ? masses.map((mass) => mass / sum) : masses
}

/** How likely an answer is under a cause, noise left out. */
export const rowAt = (question: Question, cause: string, answer: number): number =>
  question.rows[cause]?.[answer] ?? question.answers[answer]?.leak ?? 0

function noisy(likely: number, answers: number): number {
  const noise = judged('answerNoise')
  return (1 - noise) * likely + noise / answers
}

/** Two at once: normal only if both are, as one could hide the other; the rest is shared in proportion. */
function together(question: Question, one: string, other: string): number[] {
  const [first, second] = [rowAt(question, one, 0), rowAt(question, other, 0)]
  const leak = question.answers[0]?.leak ?? 1
  const normal = Math.min(1, (first * second) / leak, Math.max(first, second))
  const rest = question.answers.map((_answer, i) =>
    i === 0 ? 0 : rowAt(question, one, i) + rowAt(question, other, i),
  )
  const sum = sumOf(rest)
  return rest.map((share, i) =>
    i === 0 ? normal : ((1 - normal) * (sum > 0 ? share : 1)) / (sum > 0 ? sum : rest.length - 1),
  )
}

/**
 * What may be wrong: each cause alone, none of ours, and each two of the ten likeliest together; the same arithmetic as the
 * server's, held to the same examples.
 */
export class Hypotheses {
  readonly causes: Cause[]
  readonly prior: number[]
  /** Ids of the repairs that mend any of its causes, sorted. */
  readonly repairs: string[]
  private readonly members: number[][] = []
  private readonly mends: string[]
  private readonly rows = new Map<string, number[][]>()

  constructor(known: Known, complaint: string, weights: Record<string, number>) {
    this.causes = NETWORK.causes.filter((cause) => fits(cause, known))
    this.mends = this.causes.map((cause) => repairFor(cause, known.kind))
    this.repairs = [...new Set(this.mends)].toSorted((a, b) => (a < b ? -1 : 1))
    const damp = judged('damp')
    const shares = normalised(
      this.causes.map(
        (cause) =>
          cause.rate *
          (weights[cause.id] ?? 1) *
          cause.modifiers.reduce((product, one) => product * factorOf(one, known) ** damp, 1) *
          (cause.shows[complaint] ?? judged('showLeak')),
      ),
    )
    const other = judged('otherShare')
    const masses = shares.map((share) => (1 - other) * share)
    masses.push(other)
    this.members.push(...shares.map((_share, i) => [i]), [])
    this.addPairs(shares, masses)
    this.prior = normalised(masses)
  }

  private addPairs(shares: number[], masses: number[]) {
    const heaviest = shares
      .map((share, i) => ({ share, i }))
      .toSorted((a, b) => b.share - a.share)
      .slice(0, PAIRED)
      .map(({ i }) => i)
      .toSorted((a, b) => a - b)
    heaviest.forEach((one, place) => {
      for (const other of heaviest.slice(place + 1)) {
        masses.push(judged('pairScale') * (shares[one] ?? 0) * (shares[other] ?? 0))
        this.members.push([one, other])
      }
    })
  }

  /** How likely an answer is under each hypothesis, noise included. */
  likelihood(question: Question, answer: number): number[] {
    let table = this.rows.get(question.id)
    if (!table) {
      const count = question.answers.length
      const byHypothesis = this.members.map((of) => this.row(question, of))
      table = question.answers.map((_answer, i) => byHypothesis.map((row) => noisy(row[i] ?? 0, count)))
      this.rows.set(question.id, table)
    }
    return table[answer] ?? []
  }

  private row(question: Question, [one, other]: number[]): number[] {
    const idOf = (place: number) => this.causes[place]?.id ?? OTHER
    if (one !== undefined && other !== undefined) return together(question, idOf(one), idOf(other))
    const cause = one === undefined ? OTHER : idOf(one)
    return question.answers.map((_answer, i) => rowAt(question, cause, i))
  }

  /** How likely an answer is under one cause alone, noise included. */
  alone(question: Question, answer: number, cause: string): number {
    return noisy(rowAt(question, cause, answer), question.answers.length)
  }

  /** How likely an outcome of a repair is under each hypothesis. */
  outcome(repair: string, outcome: Outcome): number[] {
    const { all, one, none } = OUTCOMES[outcome]
    return this.members.map((of) => {
      const mended = of.length === 0 ? Number(repair === ASK_OTHERS) : this.mended(of, repair)
      return mended === 0 ? none : mended === Math.max(1, of.length) ? all : one
    })
  }

  private mended(of: number[], repair: string): number {
    return of.filter((cause) => this.mends[cause] === repair).length
  }

  /** Probability of each applicable cause, none of ours last; two at once count for both. */
  byCause(belief: number[]): number[] {
    const sums: number[] = Array.from({ length: this.causes.length + 1 }, () => 0)
    this.members.forEach((of, h) => {
      const mass = belief[h] ?? 0
      for (const place of of.length === 0 ? [this.causes.length] : of) sums[place] = (sums[place] ?? 0) + mass
    })
    return sums
  }

  /** How likely something is there that a repair mends. */
  presence(belief: number[], repair: string): number {
    return sumOf(
      this.members.map((of, h) => {
        const mends = of.length === 0 ? repair === ASK_OTHERS : this.mended(of, repair) > 0
        return mends ? (belief[h] ?? 0) : 0
      }),
    )
  }

  /** Mass of each of its repairs; two at once give half to each. */
  masses(belief: number[]): Map<string, number> {
    const masses = new Map(this.repairs.map((repair) => [repair, 0]))
    this.members.forEach((of, h) => {
      for (const cause of of) {
        const repair = this.mends[cause] ?? ''
        masses.set(repair, (masses.get(repair) ?? 0) + (belief[h] ?? 0) / of.length)
      }
    })
    return masses
  }
}
