import served from '@/generated/trouble.json'
import type { Schemas } from '@/shared/api/client'

export type Network = Schemas['NetworkView']
export type Cause = Schemas['CauseView']
export type Question = Schemas['QuestionView']
export type Answer = Schemas['AnswerView']
export type Repair = Schemas['RepairView']
export type Peril = Schemas['PerilView']
export type Known = Schemas['Known']
export type Modifier = Schemas['ModifierView']
export type FilterKind = Known['kind']

/** Nothing of ours helps: ask, and take the page along. */
export const ASK_OTHERS = 'exit'
export const OTHER = 'other'
export const DONT_KNOW = 'dont-know'

/** The finder's network as the server has it; it ships with the page, so that a case goes on without a connection. */
export const NETWORK = served as unknown as Network

const byId = <T extends { id: string }>(all: T[]) => {
  const map = new Map(all.map((one) => [one.id, one]))
  return (id: string): T => {
    const one = map.get(id)
    if (!one) throw new Error(`the network has no ${id}`)
    return one
  }
}

export const complaintOf = byId(NETWORK.complaints)
export const perilOf = byId(NETWORK.perils)
export const causeOf = byId(NETWORK.causes)
export const questionOf = byId(NETWORK.questions)
export const repairOf = byId(NETWORK.repairs)

export const judged = (name: string): number => NETWORK.judged[name] ?? 0

/** Whether a cause or a question can be on a filter. */
export const fits = (one: { kinds: string[]; needs: string[] }, known: Known): boolean =>
  one.kinds.includes(known.kind) &&
  (one.needs.length === 0 || one.needs.some((stage) => (known.stages as string[]).includes(stage)))

/** Id of what mends a cause on a kind of filter. */
export const repairFor = (cause: Cause, kind: FilterKind): string => cause.repairs[kind] ?? cause.repair

/** Complaints about a lamp are no complaints about a filter without one. */
const OF_LAMPS = ['green', 'lamp-dark']

/** Complaints that a filter can have. */
export const complaintsOf = (filter: { kind: FilterKind; stages: { kind: string }[] }) =>
  NETWORK.complaints.filter(
    ({ id, kinds }) =>
      (kinds as string[]).includes(filter.kind) &&
      (!OF_LAMPS.includes(id) || filter.stages.some(({ kind }) => kind === 'UV_LAMP')),
  )

/** Answers that can be given on a filter: nothing is at the lamp end where there is no lamp. */
export const answersOf = (question: Question, known: Known): Answer[] =>
  question.answers.filter(
    ({ needs }) => needs.length === 0 || needs.some((stage) => (known.stages as string[]).includes(stage)),
  )
