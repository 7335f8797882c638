import type { Outcome } from './hypotheses'
import { normalised, type Hypotheses } from './hypotheses'
import {
  ASK_OTHERS,
  complaintOf,
  DONT_KNOW,
  fits,
  judged,
  NETWORK,
  perilOf,
  questionOf,
  repairOf,
  type Known,
  type Peril,
  type Question,
  type Repair,
} from './network'

/** What was told so far, a later answer in place of an earlier one. */
export interface Told {
  perils: Map<string, string>
  /** By question, in the order of first answering. */
  answers: Map<string, string>
  tried: Map<string, Outcome>
}

/** What to do next. */
export type Next =
  | { step: 'DANGER'; peril: Peril }
  | { step: 'QUESTION'; question: Question }
  | { step: 'REPAIR'; repair: Repair; because: 'ALARM' | 'NAMED' | 'QUICKER' | 'NOTHING_LEFT' }
  | { step: 'STOP'; peril: Peril }
  | { step: 'SOLVED'; repair: Repair }

interface Option {
  repair: Repair
  cost: number
}

const DANGEROUS = 0.5
const ROUNDING = 1e12

export const rounded = (value: number) => Math.round(value * ROUNDING) / ROUNDING

const byId = (a: { id: string }, b: { id: string }) => (a.id < b.id ? -1 : 1)

const ASKING: Next = { step: 'REPAIR', repair: repairOf(ASK_OTHERS), because: 'NOTHING_LEFT' }

/** What a step costs in minutes, with all it brings along. */
export function costOf({ cost }: { cost: Repair['cost'] }, kind: Known['kind']): number {
  return (
    (cost.byKind[kind] ?? cost.minutes) +
    judged('stepOverheadMinutes') +
    judged('disturbanceMinutes') * cost.disturbance +
    (cost.pumpOff ? judged('pumpOffMinutes') : 0) +
    (cost.buys ? judged('buyMinutes') : 0) +
    (cost.slow ? judged('slowMinutes') : 0)
  )
}

/** Chooses the next step by the first rule that holds, as the server does. */
export class Policy {
  private readonly known: Known
  private readonly complaint: string
  private readonly hypotheses: Hypotheses
  private readonly told: Told
  private readonly belief: number[]
  private readonly options: Option[]

  constructor(known: Known, complaint: string, hypotheses: Hypotheses, told: Told, belief: number[]) {
    this.known = known
    this.complaint = complaint
    this.hypotheses = hypotheses
    this.told = told
    this.belief = belief
    this.options = hypotheses.repairs
      .filter((id) => !told.tried.has(id))
      .map((id) => ({ repair: repairOf(id), cost: costOf(repairOf(id), known.kind) }))
  }

  next(): Next {
    return (
      this.danger() ??
      this.solved() ??
      this.alarm() ??
      this.watchful() ??
      this.named() ??
      this.worthAsking() ??
      this.quickest()
    )
  }

  private danger(): Next | undefined {
    for (const id of complaintOf(this.complaint).perils) {
      const answer = this.told.perils.get(id)
      if (answer === undefined) return { step: 'DANGER', peril: perilOf(id) }
      if (answer !== 'no') return { step: 'STOP', peril: perilOf(id) }
    }
    return undefined
  }

  private solved(): Next | undefined {
    const repair = [...this.told.tried].find(([, outcome]) => outcome === 'solved')?.[0]
    return repair === undefined ? undefined : { step: 'SOLVED', repair: repairOf(repair) }
  }

  private alarm(): Next | undefined {
    for (const [id, given] of this.told.answers) {
      const raised = questionOf(id).answers.find(
        ({ id: answer, alarm, unsureWhile }) =>
          alarm !== undefined &&
          !this.told.tried.has(alarm) &&
          (answer === given ||
            (given === DONT_KNOW && unsureWhile !== undefined && this.alarming(unsureWhile))),
      )
      if (raised?.alarm !== undefined)
        return { step: 'REPAIR', repair: repairOf(raised.alarm), because: 'ALARM' }
    }
    return undefined
  }

  private alarming(cause: string): boolean {
    const place = this.hypotheses.causes.findIndex((one) => one.id === cause)
    return place >= 0 && rounded(this.hypotheses.byCause(this.belief)[place] ?? 0) >= judged('alarmAt')
  }

  /** A question that may raise an alarm, while a dangerous cause of it is likely enough. */
  private watchful(): Next | undefined {
    const question = this.offered().find(
      (one) =>
        one.answers.some((answer) => answer.alarm !== undefined) &&
        this.hypotheses.causes.some(
          (cause) => cause.id in one.rows && cause.power >= DANGEROUS && this.alarming(cause.id),
        ),
    )
    return question && { step: 'QUESTION', question }
  }

  private offered(): Question[] {
    return NETWORK.questions.filter(
      (question) =>
        fits(question, this.known) &&
        (question.complaints.length === 0 || question.complaints.includes(this.complaint)) &&
        !this.told.answers.has(question.id),
    )
  }

  private named(): Next | undefined {
    const [likeliest] = this.options.toSorted(
      (a, b) =>
        this.presence(b.repair.id) - this.presence(a.repair.id) ||
        a.cost - b.cost ||
        byId(a.repair, b.repair),
    )
    if (likeliest && this.presence(likeliest.repair.id) >= judged('namedAt'))
      return { step: 'REPAIR', repair: likeliest.repair, because: 'NAMED' }
    return !likeliest || this.presence(ASK_OTHERS) >= judged('namedAt') ? ASKING : undefined
  }

  private presence(repair: string): number {
    return rounded(this.hypotheses.presence(this.belief, repair))
  }

  private worthAsking(): Next | undefined {
    const now = this.expectedMinutes(this.belief)
    const [best] = this.offered()
      .map((question) => ({ question, gain: this.gain(question, now) }))
      .filter(({ gain }) => gain > 0)
      .toSorted((a, b) => b.gain - a.gain || byId(a.question, b.question))
    return best && { step: 'QUESTION', question: best.question }
  }

  /** Minutes a question saves beyond its cost. */
  private gain(question: Question, now: number): number {
    let after = 0
    question.answers.forEach((_answer, i) => {
      const likelihood = this.hypotheses.likelihood(question, i)
      const then = this.belief.map((mass, h) => mass * (likelihood[h] ?? 0))
      after += then.reduce((sum, mass) => sum + mass, 0) * this.expectedMinutes(normalised(then))
    })
    return rounded(rounded(now - after) - rounded(costOf(question, this.known.kind)))
  }

  /** Minutes until it is mended if repairs were tried from here on, the most promising for its cost first. */
  private expectedMinutes(belief: number[]): number {
    const masses = this.hypotheses.masses(belief)
    let left = 1
    let minutes = 0
    for (const { repair, cost } of this.byPromise(masses)) {
      const mended = (masses.get(repair.id) ?? 0) * judged('fixWorks')
      if (rounded(mended * judged('exitMinutes')) <= rounded(cost * left)) break
      minutes += cost * left
      left -= mended
    }
    return minutes + left * judged('exitMinutes')
  }

  private byPromise(masses: Map<string, number>): Option[] {
    return this.options
      .map((one) => ({
        one,
        promise: rounded(((masses.get(one.repair.id) ?? 0) * judged('fixWorks')) / one.cost),
      }))
      .toSorted((a, b) => b.promise - a.promise || byId(a.one.repair, b.one.repair))
      .map(({ one }) => one)
  }

  private quickest(): Next {
    const masses = this.hypotheses.masses(this.belief)
    const [best] = this.byPromise(masses)
    const worth = (masses.get(best?.repair.id ?? '') ?? 0) * judged('fixWorks') * judged('exitMinutes')
    return best && rounded(worth) > rounded(best.cost)
      ? { step: 'REPAIR', repair: best.repair, because: 'QUICKER' }
      : ASKING
  }
}
