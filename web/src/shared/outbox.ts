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
    {
      whole: (stored) => ({ ...stored, view: stored.view && whole(stored.view) }),
      // A view may hold thousands of things: none of them is looked through with each event.
      inParts: false,
    },
  )
  const reachable = ref(true)
  const failure = ref<unknown>()
  let running: Promise<void> | undefined
  let over = false

  function change(some: Partial<Kept<View, Event>>) {
    kept.value = { ...kept.value, ...some }
  }

  function record(event: Event) {
    change({ outbox: [...kept.value.outbox, event] })
    void sync()
  }

  /** One exchange at a time; whoever asks meanwhile waits for the one under way. */
  function sync(): Promise<void> {
    if (over) return Promise.resolve()
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
      change({ view, outbox: kept.value.outbox.filter((event) => !sent.has(event.id)) })
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
    change({ view })
  }

  /** What was refused is dropped, for it would be refused again. */
  function drop() {
    change({ outbox: [] })
    failure.value = undefined
    void sync()
  }

  const { pause } = useIntervalFn(() => {
    if (failure.value === undefined) void sync()
  }, everyMs)
  const deaf = useEventListener(globalThis, 'online', () => void sync())

  /** No more is asked; what was not sent stays here. */
  function end() {
    over = true
    pause()
    deaf()
  }

  /** Everything is on the server, or gone for good: no more is asked or kept here. */
  function forget() {
    end()
    forgetKept()
    change({ outbox: [] })
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
    end,
    forget,
  }
}
