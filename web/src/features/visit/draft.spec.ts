import { describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { blankDraft, blankFlow, keptDraft, toInput } from './draft'

const FOAM = { id: 11, stageId: 4, graded: true }
const FOAM_REPLACED = { id: 12, stageId: 4, graded: false }

describe('a service being written', () => {
  it('gives the finding of a stage to its graded tasks alone', () => {
    const draft = { ...blankDraft('Ines'), done: [11, 12], findings: { 'stage 4': 'HEAVY' as const } }

    const { input } = toInput(draft, 1, [FOAM, FOAM_REPLACED])

    expect(input.tasks).toEqual([
      { taskId: 11, finding: 'HEAVY' },
      { taskId: 12, finding: undefined },
    ])
  })

  it('sends a flow as it was measured, and none that was left empty', () => {
    const timed = {
      ...blankFlow(),
      way: 'timed' as const,
      litres: '2',
      seconds: '10,5',
      litresPerHour: '999',
    }
    const draft = { ...blankDraft('Ines'), before: { 7: timed }, after: { 7: blankFlow() } }

    const { input } = toInput(draft, 1, [])

    expect(input.flows).toEqual([
      { filterId: 7, before: { litresPerHour: undefined, litres: 2, seconds: 10.5 }, after: undefined },
    ])
  })

  it('names a number that is none at its field', () => {
    const { errors } = toInput({ ...blankDraft('Ines'), minutes: 'few' }, 1, [])

    expect(errors).toEqual({ minutes: 'This is not a number.' })
  })

  it('outlives a reload under the same id, until it is dropped', async () => {
    const first = keptDraft('tank 1', () => blankDraft('Ines'))
    first.draft.note = 'shells'
    await nextTick()

    const second = keptDraft('tank 1', () => blankDraft('Ines'))

    expect(second.draft.note).toBe('shells')
    expect(second.draft.id).toBe(first.draft.id)
    second.drop()
    expect(keptDraft('tank 1', () => blankDraft('Ines')).draft.note).toBe('')
  })

  it('does not open with a draft that cannot be read', () => {
    localStorage.setItem('chervil.draft.tank 1', '{half')

    expect(keptDraft('tank 1', () => blankDraft('Ines')).draft.doneBy).toBe('Ines')
  })
})
