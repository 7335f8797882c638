import { agoWords, daysBetween, today, type Day } from '@/shared/dates'
import { numberWords, say } from '@/shared/units'
import { tell } from './measures'
import { lampSince, prefill, type Known } from './prefill'
import type { Sum } from './queries'

/** A fact that follows from what is known of a filter. */
export interface Fact {
  label: string
  text: string
}

const flowOf = (sums: Sum[], known: Known, field: string) => {
  const sum = sums.find((one) => one.name === 'expected')
  const caught = sums.find((one) => one.name === 'catch')
  return sum && caught ? (prefill(sum, known)[field] ?? prefill(caught, known)[field]) : undefined
}

/** Measured flow against clean and plate, how often it turns the tank over, and the age of its lamps. */
export function factsOf(sums: Sum[], known: Known): Fact[] {
  return [...flowFacts(sums, known), ...lampFacts(known)]
}

function flowFacts(sums: Sum[], known: Known): Fact[] {
  // Until the log is there nobody can say that it was never measured.
  if (known.services === undefined) return []
  const plate = known.filter?.rating.flowLph
  const measured = flowOf(sums, known, 'measuredLph')
  const clean = flowOf(sums, known, 'cleanLph')
  const net = known.tank?.netVolumeL
  const lph = measured ? Number(measured.value) : undefined
  if (lph === undefined) {
    return plate && net
      ? [
          {
            label: 'Turns the tank over',
            text: `about ${numberWords(plate / 2 / net)} times an hour, by half of its plate`,
          },
        ]
      : []
  }
  const against = [
    clean && `${tell('SHARE', lph / Number(clean.value))} of clean`,
    plate && `${tell('SHARE', lph / plate)} of the plate`,
  ].filter(Boolean)
  return [
    { label: 'Flow', text: [say('FLOW', lph), measured?.from, ...against].join(', ') },
    ...(net ? [{ label: 'Turns the tank over', text: `${numberWords(lph / net)} times an hour` }] : []),
  ]
}

function lampFacts(known: Known): Fact[] {
  return (known.filter?.stages ?? [])
    .filter((stage) => stage.kind === 'UV_LAMP')
    .map((stage) => {
      const since = lampSince(known, stage.id)
      const lit = stage.lasting.litHoursADay ?? 24
      return {
        label: stage.label || stage.name,
        text: since
          ? `new ${agoWords(since)}, about ${numberWords(hours(since, lit), 0)} h lit`
          : 'age unknown',
      }
    })
}

const hours = (since: Day, aDay: number) => daysBetween(since, today()) * aDay
