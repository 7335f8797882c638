import { useEventListener, useIntervalFn } from '@vueuse/core'
import { computed, reactive, ref, toRaw } from 'vue'
import { Problem } from '@/shared/problem'
import { progressOf } from './progress'
import { exchange, type Guided, type GuidedEvent } from './queries'
import { newId } from '@/shared/ids'

const SYNC_MS = 3000

interface Kept {
  view: Guided | undefined
  outbox: GuidedEvent[]
}

/** What a view lacks that an earlier version kept. */
const BEFORE = { then: [] }

function stored(place: string): Kept {
  try {
    const kept = JSON.parse(localStorage.getItem(place) ?? '') as Kept
    return { ...kept, view: kept.view && { ...BEFORE, ...kept.view } }
  } catch {
    return { view: undefined, outbox: [] }
  }
}

/**
 * A service in progress. Every event is kept in this browser first and sent in order when the server can be reached;
 * what others did on the same service arrives with each exchange.
 */
export function useGuided(id: string) {
  const place = `chervil.guided.${id}`
  const kept = reactive<Kept>(stored(place))
  const reachable = ref(true)
  const failure = ref<unknown>()
  /** Ticks made here after somebody else had ended the service: they are not in its log. */
  const late = computed(() => (ended.value ? kept.outbox : []))
  const ended = ref(false)
  let running: Promise<void> | undefined

  const events = computed(() => [...(kept.view?.events ?? []), ...kept.outbox])
  const progress = computed(() => progressOf(kept.view?.steps ?? [], events.value))

  function keep() {
    localStorage.setItem(place, JSON.stringify(toRaw(kept)))
  }

  function record(kind: GuidedEvent['kind'], step: string, value = '') {
    kept.outbox.push({ id: newId(), happenedAt: new Date().toISOString(), kind, step, value })
    keep()
    void sync()
  }

  /** One exchange at a time; whoever asks meanwhile waits for the one under way. */
  function sync(): Promise<void> {
    if (ended.value) return Promise.resolve()
    running ??= exchangeOnce().finally(() => (running = undefined))
    return running
  }

  /** Sends all there is, also what was ticked while an exchange was under way. */
  async function flush() {
    await sync()
    if (kept.outbox.length > 0 && reachable.value) await sync()
  }

  async function exchangeOnce() {
    const sending = [...kept.outbox]
    try {
      kept.view = await exchange(id, sending)
      const sent = new Set(sending.map((event) => event.id))
      kept.outbox = kept.outbox.filter((event) => !sent.has(event.id))
      reachable.value = true
      failure.value = undefined
      keep()
    } catch (problem) {
      if (problem instanceof Problem && problem.code === 'ended') {
        await learnOfTheEnd()
        return
      }
      const refused = problem instanceof Problem && problem.refuses
      reachable.value = refused
      failure.value = refused ? problem : undefined
    }
  }

  /** Somebody ended it meanwhile. What was ticked here since is kept until the keeper has seen it. */
  async function learnOfTheEnd() {
    kept.view = await exchange(id, []).catch(() => kept.view)
    ended.value = true
    reachable.value = true
    keep()
  }

  /** Everything is on the server and may be forgotten here. */
  function forget() {
    stop()
    kept.outbox = []
    localStorage.removeItem(place)
  }

  const { pause } = useIntervalFn(() => void sync(), SYNC_MS)
  const deaf = useEventListener(globalThis, 'online', () => void sync())
  const stop = () => {
    pause()
    deaf()
  }
  void sync()

  return {
    view: computed(() => kept.view),
    waiting: computed(() => kept.outbox.length),
    progress,
    reachable,
    failure,
    late,
    record,
    sync,
    flush,
    forget,
  }
}
