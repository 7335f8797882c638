import { beforeEach, describe, expect, it } from 'vitest'
import { useKept } from './kept'

const PLACE = 'chervil.test.kept'
const blank = () => ({ note: '', tasks: [] as number[] })

describe('what is kept in this browser', () => {
  beforeEach(() => {
    localStorage.clear()
  })

  it('is there with the letter that was typed last', () => {
    const { kept } = useKept(PLACE, blank)
    kept.value.note = 'r'
    kept.value.note = 'ri'
    kept.value.tasks.push(7)

    expect(useKept(PLACE, blank).kept.value).toEqual({ note: 'ri', tasks: [7] })
  })

  it('is nothing before anything was written', () => {
    useKept(PLACE, blank)

    expect(localStorage.getItem(PLACE)).toBeNull()
  })

  it('has what an earlier version did not know, as it is at first', () => {
    localStorage.setItem(PLACE, '{"note":"rinsed"}')

    expect(useKept(PLACE, blank).kept.value).toEqual({ note: 'rinsed', tasks: [] })
  })

  it('is as nothing where it cannot be read', () => {
    localStorage.setItem(PLACE, 'rinsed')

    expect(useKept(PLACE, blank).kept.value).toEqual(blank())
  })

  it('is not written again once it is forgotten', () => {
    const { kept, forget } = useKept(PLACE, blank)
    kept.value.note = 'rinsed'
    forget()
    kept.value.note = 'rinsed again'

    expect(localStorage.getItem(PLACE)).toBeNull()
  })
})
