import { describe, expect, it } from 'vitest'
import { blankFilter, pathOf, stageOf, toInput } from './form'

describe('a filter form', () => {
  it('starts from the template of its kind', () => {
    const path = pathOf({
      kind: 'SUMP',
      words: 'sump',
      stages: [
        { kind: 'SOCK', make: 'WASHABLE' },
        { kind: 'RETURN_PUMP', make: 'WASHABLE' },
      ],
    })

    expect(path.map((stage) => stage.kind)).toEqual(['SOCK', 'RETURN_PUMP'])
    expect(new Set(path.map((stage) => stage.key)).size).toBe(2)
  })

  it('accepts a decimal comma, leaves out what is empty, and names what is no number', () => {
    const form = {
      ...blankFilter(),
      flowLph: '900,5',
      powerW: 'strong',
      stages: [stageOf('SOCK', 'WASHABLE')],
    }

    const { input, errors } = toInput(form)

    expect(input.rating.flowLph).toBe(900.5)
    expect(input.rating.maxHeadM).toBeUndefined()
    expect(errors).toEqual({ 'rating.powerW': 'This is not a number.' })
  })

  it('has a direction only for a canister', () => {
    expect(toInput({ ...blankFilter(), kind: 'CANISTER' }).input.direction).toBe('BOTTOM_UP')
    expect(toInput({ ...blankFilter(), kind: 'SUMP' }).input.direction).toBeUndefined()
  })
})
