import type { Schemas } from '@/shared/api/client'
import type { Known } from './prefill'

interface Part {
  price: number
  size?: number
  everyDays: number
}

/** Settings of tasks and items of the stores, ready to be sent. */
export interface Adopted {
  tasks: { task: number; setting: Schemas['TaskSettingInput'] }[]
  items: { id: number; version: number; item: Schemas['StockItemInput'] }[]
}

/**
 * What adopting a way changes, and what takes it back: tasks are fixed to the days of their part, items cost what a piece of
 * the pack costs. Versions follow, so that the way back is not taken for a stale one.
 */
export function adoption(
  known: Known,
  parts: Part[],
  tasks: (number | undefined)[],
  items: (number | undefined)[],
): { to: Adopted; back: Adopted } {
  const to: Adopted = { tasks: [], items: [] }
  const back: Adopted = { tasks: [], items: [] }
  parts.forEach((part, index) => {
    const task = known.filter?.tasks.find((one) => one.id === tasks[index])
    if (task) {
      const days = Math.round(part.everyDays)
      to.tasks.push({ task: task.id, setting: { version: task.version, mode: 'FIXED', fixedDays: days } })
      back.tasks.push({
        task: task.id,
        setting: { version: task.version + 1, mode: task.mode, fixedDays: task.fixedDays },
      })
    }
    const item = known.stores?.items.find((one) => one.id === items[index])
    if (item) {
      const { id, version } = item
      to.items.push({ id, version, item: { ...item.item, price: part.price / (part.size ?? 1) } })
      back.items.push({ id, version: version + 1, item: item.item })
    }
  })
  return { to, back }
}
