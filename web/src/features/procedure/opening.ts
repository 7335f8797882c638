import { texts } from './texts'
import type { Opening } from '@/features/interval'

/** Tasks with what goes along with the openings among them; nothing is named twice, and nothing taken off. */
export function withAlong(tasks: number[], openings: Opening[], inUse: number[]): number[] {
  const along = openings
    .filter((one) => tasks.includes(one.taskId))
    .flatMap((one) => one.along)
    .filter((task) => inUse.includes(task))
  return [...new Set([...tasks, ...along])]
}

/** "Major opening. The third since 4 May: …" of those among the tasks. */
export const openingWords = (tasks: number[], openings: Opening[]): string[] =>
  openings
    .filter((one) => tasks.includes(one.taskId))
    .map((one) => `${one.size === 'MAJOR' ? texts.aMajorOpening : texts.aMinorOpening}. ${one.why}`)
