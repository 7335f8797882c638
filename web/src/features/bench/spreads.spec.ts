import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import ComparisonTable from './ComparisonTable.vue'
import type { Comparison, Spread } from './queries'
import { rows, spreadWords } from './spreads'

const spread = (measure: Spread['measure'], middle: number): Spread => ({
  measure,
  low: middle * 0.5,
  middle,
  high: middle * 1.5,
  values: Array.from({ length: 20 }, (_, i) => (middle * (i + 1)) / 10),
})

const COMPARISON: Comparison = {
  id: 'x',
  state: 'DONE',
  done: 40,
  total: 40,
  ways: [
    {
      way: 'AS_LEARNED',
      words: 'As learned',
      measures: [spread('SERVICES', 40), spread('WORST_AMMONIA', 0.02)],
    },
    {
      way: 'HALF_AS_OFTEN',
      words: 'Half as often',
      measures: [spread('SERVICES', 20), spread('WORST_AMMONIA', 0.05)],
    },
  ],
}

describe('spreads', () => {
  it('of one measure share a scale that holds every way', () => {
    const services = rows(COMPARISON).find((row) => row.measure === 'SERVICES')

    expect(services?.spreads).toHaveLength(2)
    expect(services?.top).toBeCloseTo(80 * 1.04)
  })

  it('are told in words for those who do not see the dots', () => {
    expect(spreadWords(spread('SERVICES', 40), 0, '')).toBe('40, in 8 of 10 futures 20 to 60')
    expect(spreadWords(spread('WORST_NITRATE', 12), 1, 'mg/L')).toBe(
      '12.0 mg/L, in 8 of 10 futures 6.0 to 18.0',
    )
  })

  it('stand measure by measure, every way with its picture and its figures', () => {
    const table = mount(ComparisonTable, { props: { comparison: COMPARISON } })

    expect(table.findAll('[data-way=HALF_AS_OFTEN]')[0]?.text()).toContain('20')
    expect(table.findAll('[data-way=HALF_AS_OFTEN]')[0]?.findAll('circle')).toHaveLength(20)
    expect(table.text()).toContain('0.05 mg/L')
  })

  it('of nothing but zeros do not break the picture', () => {
    const none = {
      ...COMPARISON,
      ways: COMPARISON.ways.map((way) => ({ ...way, measures: [spread('OVERLOADS', 0)] })),
    }

    const html = mount(ComparisonTable, { props: { comparison: none } }).html()

    expect(html).not.toContain('NaN')
  })
})
