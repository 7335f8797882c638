import { describe, expect, it, vi } from 'vitest'
import { blankTank, toInput } from './form'

vi.useFakeTimers({ now: new Date('2026-06-01T12:00:00') })

const tank = (more: Partial<ReturnType<typeof blankTank>>) => ({
  ...blankTank(),
  name: 'Brook',
  netVolumeL: '20',
  ...more,
})

describe('how long a tank has been running', () => {
  it.each([
    ['NEW', '2026-06-01'],
    ['WEEKS', '2026-05-04'],
    ['MONTHS', '2026-01-02'],
    ['YEARS', '2024-06-01'],
  ] as const)('%s began about %s', (running, day) => {
    expect(toInput(tank({ running })).input.establishedOn).toBe(day)
  })

  it('is asked for and not taken for granted', () => {
    expect(toInput(tank({})).errors).toEqual({ running: 'How long has it been running?' })
    expect(toInput(tank({ running: 'DAY' })).errors).toEqual({ establishedOn: 'When was it set up?' })
  })
})

describe('rinse water', () => {
  it('is sent in litres and as a share', () => {
    const { input, errors } = toInput(tank({ running: 'YEARS', bucketL: '2', drawPercent: '10' }))

    expect(errors).toEqual({})
    expect(input.setting.bucketL).toBe(2)
    expect(input.setting.drawShare).toBeCloseTo(0.1)
  })

  it('says at its field what is no number', () => {
    expect(toInput(tank({ running: 'YEARS', bucketL: 'two' })).errors).toEqual({
      'setting.bucketL': 'This is not a number.',
    })
  })
})
