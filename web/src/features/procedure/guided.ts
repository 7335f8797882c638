import { computed, ref } from 'vue'
import { happening, useOutbox } from '@/shared/outbox'
import { Problem } from '@/shared/problem'
import { progressOf } from './progress'
import { exchange, type Guided, type GuidedEvent } from './queries'

const SYNC_MS = 3000

/** What a view lacks that an earlier version kept. */
const BEFORE = { then: [] }

const saysEnded = (problem: unknown) => problem instanceof Problem && problem.code === 'ended'

/** A service in progress. */
export function useGuided(id: string) {
  const box = useOutbox<Guided, GuidedEvent>({
    place: `chervil.guided.${id}`,
    everyMs: SYNC_MS,
    exchange: (events) => exchange(id, events).catch(learnOfTheEnd),
    whole: (view) => ({ ...BEFORE, ...view }),
  })
  const ended = ref(false)
  /** Ticks made here after somebody else had ended the service: they are not in its log. */
  const late = computed(() => (ended.value ? box.outbox.value : []))
  const progress = computed(() => progressOf(box.view.value?.steps ?? [], box.events.value))

  function record(kind: GuidedEvent['kind'], step: string, value = '') {
    box.record({ ...happening(), kind, step, value })
  }

  /** Where somebody ended it meanwhile, what was ticked here since is kept until the keeper has seen it. */
  async function learnOfTheEnd(problem: unknown): Promise<never> {
    if (saysEnded(problem)) {
      const view = await exchange(id, []).catch(() => undefined)
      if (view) {
        box.take(view)
        box.end()
        ended.value = true
      }
    }
    throw problem
  }

  return { ...box, progress, late, record }
}
