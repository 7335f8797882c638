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
export function nextOf(
  known: Known,
  complaint: string,
  hypotheses: Hypotheses,
  told: Told,
  belief: number[],
): Next {
  const options: Option[] = hypotheses.repairs
    .filter((id) => !told.tried.has(id))
    .map((id) => ({ repair: repairOf(id), cost: costOf(repairOf(id), known.kind) }))
  const works = judged('fixWorks')
  const exit = judged('exitMinutes')

  const offered = () =>
    NETWORK.questions.filter(
      (question) =>
        fits(question, known) &&
        (question.complaints.length === 0 || question.complaints.includes(complaint)) &&
        !told.answers.has(question.id),
    )
  const presence = (repair: string) => rounded(hypotheses.presence(belief, repair))
  const alarming = (cause: string) => {
    const place = hypotheses.causes.findIndex((one) => one.id === cause)
    return place >= 0 && rounded(hypotheses.byCause(belief)[place] ?? 0) >= judged('alarmAt')
  }
  const askOthers = (): Next => ({ step: 'REPAIR', repair: repairOf(ASK_OTHERS), because: 'NOTHING_LEFT' })

  function danger(): Next | undefined {
    for (const id of complaintOf(complaint).perils) {
      const answer = told.perils.get(id)
      if (answer === undefined) return { step: 'DANGER', peril: perilOf(id) }
      if (answer !== 'no') return { step: 'STOP', peril: perilOf(id) }
    }
    return undefined
  }

  function solved(): Next | undefined {
    const repair = [...told.tried].find(([, outcome]) => outcome === 'solved')?.[0]
    return repair === undefined ? undefined : { step: 'SOLVED', repair: repairOf(repair) }
  }

  function alarm(): Next | undefined {
    for (const [id, given] of told.answers) {
      for (const answer of questionOf(id).answers) {
        const unsure = given === DONT_KNOW && answer.unsureWhile !== undefined && alarming(answer.unsureWhile)
        if (answer.alarm !== undefined && (answer.id === given || unsure) && !told.tried.has(answer.alarm))
          return { step: 'REPAIR', repair: repairOf(answer.alarm), because: 'ALARM' }
      }
    }
    return undefined
  }

  function watchful(): Next | undefined {
    const question = offered().find(
      (one) =>
        one.answers.some((answer) => answer.alarm !== undefined) &&
        hypotheses.causes.some(
          (cause) => cause.id in one.rows && cause.power >= DANGEROUS && alarming(cause.id),
        ),
    )
    return question && { step: 'QUESTION', question }
  }

  function named(): Next | undefined {
    const [likeliest] = options.toSorted(
      (a, b) =>
        presence(b.repair.id) - presence(a.repair.id) ||
        a.cost - b.cost ||
        (a.repair.id < b.repair.id ? -1 : 1),
    )
    if (likeliest && presence(likeliest.repair.id) >= judged('namedAt'))
      return { step: 'REPAIR', repair: likeliest.repair, because: 'NAMED' }
    return !likeliest || presence(ASK_OTHERS) >= judged('namedAt') ? askOthers() : undefined
  }

  function byPromise(masses: Map<string, number>): Option[] {
    const promise = new Map(
      options.map((one) => [one, rounded(((masses.get(one.repair.id) ?? 0) * works) / one.cost)]),
    )
    return options.toSorted(
      (a, b) => (promise.get(b) ?? 0) - (promise.get(a) ?? 0) || (a.repair.id < b.repair.id ? -1 : 1),
    )
  }

  /** Minutes until it is mended if repairs were tried from here on, the most promising for its cost first. */
  function expectedMinutes(believed: number[]): number {
    const masses = hypotheses.masses(believed)
    let left = 1
    let minutes = 0
    for (const { repair, cost } of byPromise(masses)) {
      const mended = (masses.get(repair.id) ?? 0) * works
      if (rounded(mended * exit) <= rounded(cost * left)) break
      minutes += cost * left
      left -= mended
    }
    return minutes + left * exit
  }

  /** Minutes a question saves beyond its cost. */
  function gain(question: Question, now: number): number {
    const after = question.answers.map((_answer, i) => {
      const likelihood = hypotheses.likelihood(question, i)
      const then = belief.map((mass, h) => mass * (likelihood[h] ?? 0))
      const chance = then.reduce((sum, mass) => sum + mass, 0)
      return chance * expectedMinutes(normalised(then))
    })
    const saved = now - after.reduce((sum, minutes) => sum + minutes, 0)
    return rounded(rounded(saved) - rounded(costOf(question, known.kind)))
  }

  function worthAsking(): Next | undefined {
    const now = expectedMinutes(belief)
    const [best] = offered()
      .map((question) => ({ question, gain: gain(question, now) }))
      .filter((one) => one.gain > 0)
      .toSorted((a, b) => b.gain - a.gain || (a.question.id < b.question.id ? -1 : 1))
    return best && { step: 'QUESTION', question: best.question }
  }

  function quickest(): Next {
    const masses = hypotheses.masses(belief)
    const [best] = byPromise(masses)
    return best && rounded((masses.get(best.repair.id) ?? 0) * works * exit) > rounded(best.cost)
      ? { step: 'REPAIR', repair: best.repair, because: 'QUICKER' }
      : askOthers()
  }

  return danger() ?? solved() ?? alarm() ?? watchful() ?? named() ?? worthAsking() ?? quickest()
}
