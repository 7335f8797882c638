import { useEventListener, useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { newId } from './ids'
import { useKept } from './kept'
import { Problem } from './problem'

interface Happening {
  id: string
  happenedAt: string
}

interface Kept<View, Event> {
  view: View | undefined
  outbox: Event[]
}

interface Exchange<View, Event> {
  /** Where it is kept in this browser. */
  place: string
  everyMs: number
  /** Sends what happened here, oldest first, and brings what happened everywhere. */
  exchange: (events: Event[]) => Promise<View>
  /** Fills up a view that an earlier version kept. */
  whole?: (view: View) => View
}

/** Names something that happens now. */
export const happening = (): Happening => ({ id: newId(), happenedAt: new Date().toISOString() })

/**
 * Something that several people do together, with or without a connection: every event is kept in this browser first and
 * sent in order when the server can be reached; what others did arrives with each exchange.
 */
export function useOutbox<View extends { events: Event[] }, Event extends Happening>({
  place,
  everyMs,
  exchange,
  whole = (view) => view,
}: Exchange<View, Event>) {
  const { kept, forget: forgetKept } = useKept<Kept<View, Event>>(
    place,
    () => ({ view: undefined, outbox: [] }),
    (stored) => ({ ...stored, view: stored.view && whole(stored.view) }),
  )
  const reachable = ref(true)
  const failure = ref<unknown>()
  let running: Promise<void> | undefined

  function record(event: Event) {
    kept.value.outbox.push(event)
    void sync()
  }

  /** One exchange at a time; whoever asks meanwhile waits for the one under way. */
  function sync(): Promise<void> {
    running ??= exchangeOnce().finally(() => (running = undefined))
    return running
  }

  /** Sends all there is, also what happened while an exchange was under way. */
  async function flush() {
    await sync()
    if (kept.value.outbox.length > 0 && reachable.value) await sync()
  }

  async function exchangeOnce() {
    const sending = [...kept.value.outbox]
    try {
      const view = await exchange(sending)
      const sent = new Set(sending.map((event) => event.id))
      kept.value = { view, outbox: kept.value.outbox.filter((event) => !sent.has(event.id)) }
      reachable.value = true
      failure.value = undefined
    } catch (problem) {
      const refused = problem instanceof Problem && problem.refuses
      reachable.value = refused
      failure.value = refused ? problem : undefined
    }
  }

  /** What the server says of it now. */
  function take(view: View) {
    kept.value.view = view
  }

  /** What was refused is dropped, for it would be refused again. */
  function drop() {
    kept.value.outbox = []
    failure.value = undefined
    void sync()
  }

  const { pause } = useIntervalFn(() => {
    if (failure.value === undefined) void sync()
  }, everyMs)
  const deaf = useEventListener(globalThis, 'online', () => void sync())

  /** Everything is on the server, or gone for good: no more is asked or kept here. */
  function forget() {
    pause()
    deaf()
    forgetKept()
    kept.value.outbox = []
  }
  void sync()

  return {
    view: computed(() => kept.value.view),
    outbox: computed(() => kept.value.outbox),
    events: computed(() => [...(kept.value.view?.events ?? []), ...kept.value.outbox]),
    waiting: computed(() => kept.value.outbox.length),
    reachable,
    failure,
    record,
    sync,
    flush,
    take,
    drop,
    forget,
  }
}
