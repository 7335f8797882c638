import { useSiteFilters } from '@/features/filter'
import type { Schemas } from '@/shared/api/client'
import { texts } from './texts'
import { useAdopt, useDisown, type Trial } from './queries'

/** A way that was adopted, with how its task was set before. */
export interface Kept {
  id: string
  before: Schemas['Before']
}

/** Adopts one of the ways that were tried, and gives it back; how the task was set is known here, for the way back. */
export function useKeeping() {
  const filters = useSiteFilters()
  const adopt = useAdopt()
  const disown = useDisown()

  async function keep(trial: Trial, way: number): Promise<Kept> {
    const task = filters.data.value
      ?.flatMap((filter) => filter.tasks)
      .find((one) => one.id === trial.subject.taskId)
    if (!task) throw new Error(texts.theTaskIsNo)
    const before = { mode: task.mode, fixedDays: task.fixedDays }
    await adopt.mutateAsync({ id: trial.id, way })
    return { id: trial.id, before }
  }

  const giveBack = (kept: Kept) => disown.mutateAsync(kept)

  return { keep, giveBack }
}
