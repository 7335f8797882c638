import { useEventListener, useIntervalFn } from '@vueuse/core'
import { computed, reactive, ref, toRaw } from 'vue'
import { Problem } from '@/shared/problem'
import { Inquiry, type Step } from './finder'
import { exchange, type Case, type TroubleEvent } from './queries'
import { newId } from '@/shared/ids'

const SYNC_MS = 4000

interface Kept {
  view: Case | undefined
  outbox: TroubleEvent[]
}

function stored(place: string): Kept {
  try {
    return JSON.parse(localStorage.getItem(place) ?? '') as Kept
  } catch {
    return { view: undefined, outbox: [] }
  }
}

/** Steps with the event each came by; those taken back are left out. */
export function stepsOf(events: TroubleEvent[]): { step: Step; event: TroubleEvent }[] {
  const back = new Set(events.filter(({ kind }) => kind === 'TAKEN_BACK').map(({ about }) => about))
  return events.flatMap((event) =>
    event.kind === 'TAKEN_BACK' || back.has(event.id)
      ? []
      : [{ step: { kind: event.kind, about: event.about, value: event.value }, event }],
  )
}

/**
 * A case being asked through. Once opened it goes on without a connection: every step is kept in this browser, weighed
 * here, and sent in order when the server can be reached; what others did arrives with each exchange.
 */
export function useCase(id: string) {
  const place = `chervil.trouble.${id}`
  const kept = reactive<Kept>(stored(place))
  const reachable = ref(true)
  const failure = ref<unknown>()
  let running: Promise<void> | undefined

  const events = computed(() => [...(kept.view?.events ?? []), ...kept.outbox])
  const taken = computed(() => stepsOf(events.value))
  const steps = computed(() => taken.value.map(({ step }) => step))
  const inquiry = computed(
    () => kept.view && new Inquiry(kept.view.known, kept.view.summary.complaint, kept.view.weights),
  )
  const standing = computed(() => inquiry.value?.after(steps.value))

  function keep() {
    localStorage.setItem(place, JSON.stringify(toRaw(kept)))
  }

  function record(kind: TroubleEvent['kind'], about: string, value = '') {
    kept.outbox.push({ id: newId(), happenedAt: new Date().toISOString(), kind, about, value })
    keep()
    void sync()
  }

  /** Takes a step back, whoever took it. */
  const takeBack = (event: TroubleEvent) => {
    record('TAKEN_BACK', event.id)
  }

  function sync(): Promise<void> {
    running ??= exchangeOnce().finally(() => (running = undefined))
    return running
  }

  async function exchangeOnce() {
    const sending = [...kept.outbox]
    try {
      take(await exchange(id, sending))
      const sent = new Set(sending.map((event) => event.id))
      kept.outbox = kept.outbox.filter((event) => !sent.has(event.id))
      reachable.value = true
      failure.value = undefined
      keep()
    } catch (problem) {
      const refused = problem instanceof Problem && problem.refuses
      reachable.value = refused
      failure.value = refused ? problem : undefined
    }
  }

  /** What the server says of it now. */
  function take(view: Case) {
    kept.view = view
    keep()
  }

  /** Steps that were refused are dropped, for they would be refused again. */
  function drop() {
    kept.outbox = []
    failure.value = undefined
    keep()
    void sync()
  }

  const { pause } = useIntervalFn(() => {
    if (failure.value === undefined) void sync()
  }, SYNC_MS)
  useEventListener(globalThis, 'online', () => void sync())

  /** It is gone for good. */
  function forget() {
    pause()
    kept.outbox = []
    localStorage.removeItem(place)
  }
  void sync()

  return {
    view: computed(() => kept.view),
    waiting: computed(() => kept.outbox.length),
    taken,
    steps,
    inquiry,
    standing,
    reachable,
    failure,
    record,
    takeBack,
    take,
    drop,
    sync,
    forget,
  }
}
