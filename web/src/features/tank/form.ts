import { today } from '@/shared/dates'
import { typedNumber } from '@/shared/units'
import type { Tank, TankInput } from './queries'

/** A tank being edited; numbers as typed. */
export interface TankForm extends Omit<TankInput, 'netVolumeL'> {
  netVolumeL: string
}

export function blankTank(): TankForm {
  return {
    name: '',
    room: '',
    netVolumeL: '',
    establishedOn: today(),
    setting: {
      water: 'FRESH',
      stocking: 'NORMAL',
      feeding: 'NORMAL',
      bacteriaHome: 'MEDIA',
      tapWater: 'CHLORAMINE',
    },
    schools: { opening: 'CONDITION_LED', sock: 'CLARITY', rinse: 'TANK_WATER', thoroughness: 'LIGHT' },
  }
}

export function fromTank({ tank }: Tank): TankForm {
  return {
    ...tank,
    netVolumeL: String(tank.netVolumeL),
    setting: { ...tank.setting },
    schools: { ...tank.schools },
  }
}

/** What was typed as the request wants it, and what is amiss before it is sent. */
export function toInput(form: TankForm): { input: TankInput; errors: Record<string, string> } {
  const errors: Record<string, string> = {}
  const netVolumeL = typedNumber(form.netVolumeL)
  if (netVolumeL === undefined) errors.netVolumeL = 'How much water does it hold?'
  else if (Number.isNaN(netVolumeL)) errors.netVolumeL = 'This is not a number.'
  if (!form.establishedOn) errors.establishedOn = 'When was it set up?'
  return { input: { ...form, netVolumeL: netVolumeL ?? 0 }, errors }
}
