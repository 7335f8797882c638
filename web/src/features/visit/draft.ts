import { texts } from './texts'
import { today } from '@/shared/dates'
import { useKept } from '@/shared/kept'
import { typedNumber } from '@/shared/units'
import type { Finding } from '@/shared/words'
import type { Service, ServiceInput } from './queries'
import { newId } from '@/shared/ids'

/** A flow as typed: litres per hour, or litres caught in seconds. */
export interface FlowDraft {
  way: 'rate' | 'timed'
  litresPerHour: string
  litres: string
  seconds: string
}

/** A service being written; findings by stage, or by task where a task has no stage. */
export interface Draft {
  id: string
  doneOn: string
  doneBy: string
  minutes: string
  note: string
  done: number[]
  findings: Record<string, Finding | undefined>
  before: Record<number, FlowDraft>
  after: Record<number, FlowDraft>
  /** Why work on hold was done anyway. */
  overrideReason: string
  /** Opened for another reason, nothing cleaned. */
  again: boolean
  /** What a guided service wrote down; a correction keeps it. */
  circumstances: Pick<Service['circumstances'], 'filterOffMinutes' | 'parts'>
}

export const blankFlow = (): FlowDraft => ({ way: 'rate', litresPerHour: '', litres: '', seconds: '' })

export function blankDraft(doneBy: string): Draft {
  return {
    id: newId(),
    doneOn: today(),
    doneBy,
    minutes: '',
    note: '',
    done: [],
    findings: {},
    before: {},
    after: {},
    overrideReason: '',
    again: false,
    circumstances: { parts: [] },
  }
}

export const findingKey = (task: { stageId?: number; taskId: number }) =>
  task.stageId === undefined ? `task ${String(task.taskId)}` : `stage ${String(task.stageId)}`

export function fromService(service: Service): Draft {
  const rate = (lph: number | undefined): FlowDraft => ({
    ...blankFlow(),
    litresPerHour: lph === undefined ? '' : String(lph),
  })
  const findings = service.tasks
    .filter((task) => task.finding)
    .map((task) => [findingKey(task), task.finding])
  return {
    id: service.id,
    doneOn: service.doneOn,
    doneBy: service.doneBy,
    minutes: service.minutes === undefined ? '' : String(service.minutes),
    note: service.note,
    done: service.tasks.map((task) => task.taskId),
    findings: Object.fromEntries(findings) as Draft['findings'],
    before: Object.fromEntries(service.flows.map((flow) => [flow.filterId, rate(flow.beforeLph)])),
    after: Object.fromEntries(service.flows.map((flow) => [flow.filterId, rate(flow.afterLph)])),
    overrideReason: service.circumstances.overrideReason ?? '',
    again: service.circumstances.again ?? false,
    circumstances: service.circumstances,
  }
}

/** A draft that outlives a reload: kept in this browser until it is saved or dropped. */
export function keptDraft(key: string, fresh: () => Draft) {
  const { kept, forget } = useKept(`chervil.draft.${key}`, fresh)
  return { draft: kept.value, drop: forget }
}

interface TaskOfDraft {
  id: number
  stageId?: number
  graded: boolean
}

/** What was typed as the request wants it, and what is no number at its field. */
export function toInput(
  draft: Draft,
  tankId: number,
  tasks: TaskOfDraft[],
): { input: ServiceInput; errors: Record<string, string> } {
  const errors: Record<string, string> = {}
  const number = (field: string, text: string) => {
    const value = typedNumber(text)
    if (Number.isNaN(value)) errors[field] = texts.thisIsNotA
    return value
  }
  const reading = (field: string, flow: FlowDraft | undefined) => {
    if (!flow) return undefined
    const litresPerHour =
      flow.way === 'rate' ? number(`${field}.litresPerHour`, flow.litresPerHour) : undefined
    const litres = flow.way === 'timed' ? number(`${field}.litres`, flow.litres) : undefined
    const seconds = flow.way === 'timed' ? number(`${field}.seconds`, flow.seconds) : undefined
    return litresPerHour === undefined && litres === undefined && seconds === undefined
      ? undefined
      : { litresPerHour, litres, seconds }
  }
  const flows = flowFilters(draft).map((filterId, i) => ({
    filterId,
    before: reading(`flows[${String(i)}].before`, draft.before[filterId]),
    after: reading(`flows[${String(i)}].after`, draft.after[filterId]),
  }))
  const done = draft.done.map((taskId) => {
    const task = tasks.find((one) => one.id === taskId)
    const finding =
      task?.graded === false ? undefined : draft.findings[findingKey({ stageId: task?.stageId, taskId })]
    return { taskId, finding }
  })
  const minutes = number('minutes', draft.minutes)
  return {
    input: {
      tankId,
      doneOn: draft.doneOn,
      doneBy: draft.doneBy,
      minutes,
      note: draft.note,
      tasks: done,
      flows,
      circumstances: {
        filterOffMinutes: draft.circumstances.filterOffMinutes,
        parts: draft.circumstances.parts,
        overrideReason: draft.overrideReason.trim() || undefined,
        again: draft.again || undefined,
      },
    },
    errors,
  }
}

/** Filters for which a flow was begun, in the order they are sent. */
export function flowFilters(draft: Draft): number[] {
  return [...new Set([...Object.keys(draft.before), ...Object.keys(draft.after)])].map(Number)
}
