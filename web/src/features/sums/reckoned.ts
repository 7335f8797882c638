import { texts } from './texts'
import { agoWords } from '@/shared/dates'
import { numberWords, say } from '@/shared/units'
import { tell } from './measures'
import { burning, lampsIn, ofFilter, type Known } from './prefill'

/** A fact that follows from what is known of a filter. */
export interface Fact {
  label: string
  text: string
}

/** Measured flow against clean and plate, how often it turns the tank over, and the age of its lamps. */
export function factsOf(known: Known): Fact[] {
  return [...flowFacts(known), ...lampFacts(known)]
}

function flowFacts(known: Known): Fact[] {
  // Until the log is there nobody can say that it was never measured.
  if (known.services === undefined) return []
  const plate = known.filter?.rating.flowLph
  const { measuredLph: measured, cleanLph: clean } = ofFilter(known)
  const net = known.tank?.netVolumeL
  const lph = measured ? Number(measured.value) : undefined
  if (lph === undefined) {
    return plate && net
      ? [
          {
            label: texts.turnsTheTankOver,
            text: texts.aboutTimesAnHour(numberWords(plate / 2 / net)),
          },
        ]
      : []
  }
  const against = [
    clean && texts.ofClean(tell('SHARE', lph / Number(clean.value))),
    plate && texts.ofThePlate(tell('SHARE', lph / plate)),
  ].filter(Boolean)
  return [
    { label: texts.flow, text: [say('FLOW', lph), measured?.from, ...against].join(', ') },
    ...(net ? [{ label: texts.turnsTheTankOver, text: texts.timesAnHour(numberWords(lph / net)) }] : []),
  ]
}

function lampFacts(known: Known): Fact[] {
  return lampsIn(known.filter).map((stage) => {
    const lamp = burning(known, stage)
    return {
      label: stage.label || stage.name,
      text: lamp ? texts.newAboutHLit(agoWords(lamp.since), numberWords(lamp.hours, 0)) : texts.ageUnknown,
    }
  })
}
