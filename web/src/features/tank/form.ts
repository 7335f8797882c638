import { texts } from './texts'
import { addDays, today } from '@/shared/dates'
import { typedNumber } from '@/shared/units'
import type { Running } from '@/shared/words'
import type { Tank, TankInput } from './queries'

/** A tank being edited; numbers as typed. */
export interface TankForm extends Omit<TankInput, 'netVolumeL'> {
  netVolumeL: string
  /** How long a new tank has been running; empty until somebody says. */
  running: Running | ''
  bucketL: string
  /** Percent of the tank that a service may draw. */
  drawPercent: string
}

/** Days that stand for a span nobody dates. */
const RUNNING_DAYS: Record<Exclude<Running, 'DAY'>, number> = { NEW: 0, WEEKS: 28, MONTHS: 150, YEARS: 730 }

export function blankTank(): TankForm {
  return {
    name: '',
    room: '',
    netVolumeL: '',
    establishedOn: '',
    running: '',
    bucketL: '',
    drawPercent: '',
    setting: {
      water: 'FRESH',
      stocking: 'NORMAL',
      feeding: 'NORMAL',
      bacteriaHome: 'MEDIA',
      tapWater: 'CHLORAMINE',
      animals: [],
    },
    schools: {
      opening: 'CONDITION_LED',
      sock: 'CLARITY',
      rinse: 'TANK_WATER',
      thoroughness: 'LIGHT',
      measuresFlow: true,
    },
  }
}

export function fromTank({ tank }: Tank): TankForm {
  return {
    ...tank,
    netVolumeL: String(tank.netVolumeL),
    running: 'DAY',
    bucketL: typed(tank.setting.bucketL),
    drawPercent: typed(tank.setting.drawShare === undefined ? undefined : 100 * tank.setting.drawShare),
    setting: { ...tank.setting, animals: [...(tank.setting.animals ?? [])] },
    schools: { ...tank.schools },
  }
}

const typed = (value: number | undefined) => (value === undefined ? '' : String(value))

/** The day a tank began, as well as anyone knows. */
function began({ running, establishedOn }: TankForm): string {
  if (running === '' || running === 'DAY') return establishedOn
  return addDays(today(), -RUNNING_DAYS[running])
}

/** What was typed as the request wants it, and what is amiss before it is sent. */
export function toInput(form: TankForm): { input: TankInput; errors: Record<string, string> } {
  const errors: Record<string, string> = {}
  const netVolumeL = typedNumber(form.netVolumeL)
  if (netVolumeL === undefined) errors.netVolumeL = texts.howMuchWaterDoes
  else if (Number.isNaN(netVolumeL)) errors.netVolumeL = texts.thisIsNotA
  const establishedOn = began(form)
  if (!form.running) errors.running = texts.howLongHasIt
  else if (!establishedOn) errors.establishedOn = texts.whenWasItSet
  const number = (field: string, text: string) => {
    const value = typedNumber(text)
    if (Number.isNaN(value)) errors[field] = texts.thisIsNotA
    return value
  }
  const drawn = number('setting.drawShare', form.drawPercent)
  const setting = {
    ...form.setting,
    bucketL: number('setting.bucketL', form.bucketL),
    drawShare: drawn === undefined ? undefined : drawn / 100,
  }
  const { name, room, schools } = form
  return { input: { name, room, schools, setting, establishedOn, netVolumeL: netVolumeL ?? 0 }, errors }
}
