import { texts } from './texts'
import { say } from '@/shared/units'
import { FINDINGS, gradeOf, labelOf, type Finding } from '@/shared/words'
import type { Service } from './queries'

/** The fullest of what was found; it tells the most. */
export function worst(service: Service): { finding: Finding; seen: string | undefined } | undefined {
  return service.tasks
    .flatMap(({ finding, seen }) => (finding === undefined ? [] : [{ finding, seen }]))
    .toSorted((a, b) => gradeOf(b.finding) - gradeOf(a.finding))[0]
}

/** Who did it, and who wrote it down where that is somebody else. */
export function by(service: Service): string {
  const { doneBy, writtenDownBy } = service
  return writtenDownBy ? texts.writtenDownBy(doneBy, writtenDownBy) : doneBy
}

/** A service in one line: "Pre-filter rinsed, heavy · flow 640 L/h → 880 L/h". */
export function told(service: Service): string {
  const tasks = service.tasks.map((task) =>
    task.finding ? `${task.told}, ${labelOf(FINDINGS, task.finding)}` : task.told,
  )
  const flows = service.flows.map((flow) => {
    const measured = [flow.beforeLph, flow.afterLph].filter((one) => one !== undefined)
    return texts.flow2(measured.map((one) => say('FLOW', one)).join(' → '))
  })
  return [...tasks, ...flows].join(' · ')
}

/** What else is known of it: parts used, photos, why held work was done. */
export function besides(service: Service): string {
  const { parts, filterOffMinutes, overrideReason } = service.circumstances
  const used = parts
    .filter((part) => part.quantity > 0)
    .map((part) => (part.quantity > 1 ? `${part.thing} × ${String(part.quantity)}` : part.thing))
  return [
    used.length ? texts.used(used.join(', ')) : '',
    filterOffMinutes ? texts.filterOffMin(filterOffMinutes) : '',
    service.photos ? texts.photo(service.photos, service.photos === 1 ? '' : 's') : '',
    overrideReason ? texts.doneOnHold(overrideReason) : '',
  ]
    .filter(Boolean)
    .join(' ')
}
