import { shortDay } from '@/shared/dates'
import type { Choice } from '@/shared/words'
import { causeOf, complaintOf, OTHER, repairOf, type Peril, type Repair } from './network'
import type { Bearing, CaseSummary } from './queries'

export const causeWords = (cause: string) =>
  cause === OTHER ? 'something we do not know' : causeOf(cause).words

export const complaintWords = (complaint: string) => complaintOf(complaint).words

/** Whom to ask where hands of our own end. */
export const EXIT: Record<Peril['exit'], string> = {
  ELECTRICIAN: 'Fixed wiring and anything burnt or wet is for a licensed electrician.',
  PROFESSIONAL: 'Ask the maker, a shop or a professional, and take this page along.',
  VET: 'Ask a vet about the animals.',
}

/** What is learned from the days of a case. */
export const BEARING: Choice<Bearing>[] = [
  { value: 'DIRT', label: 'Dirt', hint: 'What was found and measured counts as always.' },
  {
    value: 'IGNORE_FLOW',
    label: 'Mechanical',
    hint: 'Not dirt: the flow of those days is left out, the interval stays.',
  },
  {
    value: 'IGNORE_FLOW_AND_GRADE',
    label: 'Water did not pass',
    hint: 'Not dirt: neither flow nor findings of those days count, and they brought no dirt.',
  },
  { value: 'NO_EVIDENCE', label: 'Nothing to learn', hint: 'Nothing to learn: the interval is untouched.' },
]

/** Minutes and what else a step takes: "About 3 minutes · pump off". */
export function effortWords({ cost }: { cost: Repair['cost'] }, kind: string): string {
  const minutes = cost.byKind[kind] ?? cost.minutes
  return [
    minutes < 1 ? 'Under a minute' : `About ${String(Math.round(minutes))} minute${minutes < 1.5 ? '' : 's'}`,
    ...(cost.pumpOff ? ['pump off'] : []),
    ...(cost.buys ? ['a part from your stores, or to buy'] : []),
    ...(cost.slow ? ['shows in a day or more'] : []),
  ].join(' · ')
}

/** Where a case stands, for a list. */
export function standingWords(one: CaseSummary): string {
  const on = one.closedOn ? ` ${shortDay(one.closedOn)}` : ''
  switch (one.standing) {
    case 'OPEN':
      return 'open'
    case 'STOPPED':
      return 'stopped: danger'
    case 'LEFT':
      return `given up${on}`
    case 'SOLVED':
      return one.cause
        ? `mended${on}: ${causeWords(one.cause)}`
        : `mended${on}: ${repairOf(one.repair ?? 'exit').words.toLowerCase()}`
  }
}
