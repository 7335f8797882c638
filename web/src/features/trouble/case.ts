import { computed } from 'vue'
import { happening, useOutbox } from '@/shared/outbox'
import { Inquiry, type Step } from './finder'
import { exchange, type Case, type TroubleEvent } from './queries'

const SYNC_MS = 4000

/** Steps with the event each came by; those taken back are left out. */
export function stepsOf(events: TroubleEvent[]): { step: Step; event: TroubleEvent }[] {
  const back = new Set(events.filter(({ kind }) => kind === 'TAKEN_BACK').map(({ about }) => about))
  return events.flatMap((event) =>
    event.kind === 'TAKEN_BACK' || back.has(event.id)
      ? []
      : [{ step: { kind: event.kind, about: event.about, value: event.value }, event }],
  )
}

/** A case being asked through. Once opened it goes on without a connection: every step is weighed here. */
export function useCase(id: string) {
  const box = useOutbox<Case, TroubleEvent>({
    place: `chervil.trouble.${id}`,
    everyMs: SYNC_MS,
    exchange: (events) => exchange(id, events),
  })
  const taken = computed(() => stepsOf(box.events.value))
  const steps = computed(() => taken.value.map(({ step }) => step))
  const inquiry = computed(
    () =>
      box.view.value &&
      new Inquiry(box.view.value.known, box.view.value.summary.complaint, box.view.value.weights),
  )
  const standing = computed(() => inquiry.value?.after(steps.value))

  function record(kind: TroubleEvent['kind'], about: string, value = '') {
    box.record({ ...happening(), kind, about, value })
  }

  /** Takes a step back, whoever took it. */
  const takeBack = (event: TroubleEvent) => {
    record('TAKEN_BACK', event.id)
  }

  return { ...box, taken, steps, inquiry, standing, record, takeBack }
}
