import { describe, expect, it } from 'vitest'
import { found, type Findable } from './finding'

const thing = (value: string, where = ''): Findable => ({ value, where, to: { name: 'tank' } })
const values = (all: Findable[], typed: string) => found(all, typed).map((one) => one.value)

describe('search', () => {
  const all = [
    thing('Coarse foam', 'Undertow, Brook bench'),
    thing('Brook bench', 'Hall'),
    thing('Fine foam', 'Weir'),
  ]

  it('finds nothing before a letter is typed', () => {
    expect(values(all, '  ')).toEqual([])
  })

  it('puts what begins with the letters first', () => {
    expect(values(all, 'brook')).toEqual(['Brook bench', 'Coarse foam'])
  })

  it('wants every word, in the name or in where it is', () => {
    expect(values(all, 'FOAM weir')).toEqual(['Fine foam'])
  })

  it('tells ten at most', () => {
    const many = Array.from({ length: 30 }, (_, i) => thing(`Tank ${String(i)}`))

    expect(found(many, 'tank')).toHaveLength(10)
  })
})
