import type { Schemas } from '@/shared/api/client'
import { say, withUnit } from '@/shared/units'
import type { Choice } from '@/shared/words'

export type Device = Schemas['DeviceView']
export type Kind = Device['kind']

export const KINDS: (Choice<Kind> & { hint: string })[] = [
  { value: 'FLOW', label: 'Flow meter', hint: 'Litres an hour through a filter' },
  { value: 'PLUG', label: 'Switching plug', hint: 'Watts of a filter’s pump' },
  { value: 'LEAK', label: 'Leak sensor', hint: '1 while wet, 0 while dry' },
  { value: 'TEMPERATURE', label: 'Temperature probe', hint: 'Degrees Celsius of the water' },
  { value: 'LEVEL', label: 'Level switch', hint: '1 while the water is below its line' },
  { value: 'LAMP', label: 'Lamp-hour counter', hint: 'Hours the lamp has burnt in all' },
  { value: 'BUTTON', label: 'Button', hint: 'One press: this stage was just cleaned' },
]

const ON_FILTER: Kind[] = ['FLOW', 'PLUG', 'LAMP', 'BUTTON']
const ON_STAGE: Kind[] = ['LAMP', 'BUTTON']
const MEASURING: Kind[] = ['FLOW', 'PLUG', 'TEMPERATURE', 'LAMP']

export const onFilter = (kind: Kind) => ON_FILTER.includes(kind)
export const onStage = (kind: Kind) => ON_STAGE.includes(kind)
/** Whether its readings make a curve. */
export const measures = (kind: Kind) => MEASURING.includes(kind)

/** A reading in the site's units. */
export function readingWords(kind: Kind, value: number): string {
  switch (kind) {
    case 'FLOW':
      return say('FLOW', value)
    case 'TEMPERATURE':
      return say('TEMPERATURE', value)
    case 'PLUG':
      return withUnit(value, 'W')
    case 'LAMP':
      return withUnit(Math.round(value), 'h')
    case 'LEAK':
      return value >= 0.5 ? 'wet' : 'dry'
    case 'LEVEL':
      return value >= 0.5 ? 'low' : 'covered'
    case 'BUTTON':
      return 'pressed'
  }
}

const MINUTE = 60
const HOUR = 3600
const DAY = 86_400

/** How long ago, in the unit one would say. */
export function sinceWords(moment: string, now: number): string {
  const seconds = Math.max(0, Math.round((now - Date.parse(moment)) / 1000))
  if (seconds < MINUTE) return 'just now'
  if (seconds < HOUR) return `${String(Math.floor(seconds / MINUTE))} min ago`
  if (seconds < 2 * DAY) return `${String(Math.floor(seconds / HOUR))} h ago`
  return `${String(Math.floor(seconds / DAY))} days ago`
}
