import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import FindingTile from './FindingTile.vue'
import type { Finding } from '../words'

const tile = (finding: Finding, size?: number) => mount(FindingTile, { props: { finding, size } })

describe('a tile of a finding', () => {
  it('shuts more pores with each grade', () => {
    const shut = (['CLEAN', 'LIGHT', 'MODERATE', 'HEAVY'] as const).map(
      (finding) => tile(finding).findAll('.shut').length,
    )

    expect(shut).toEqual([1, 8, 18, 31])
  })

  it('leads water round a clogged one, as a drawing inside its own', () => {
    const round = tile('CLOGGED').find('.round')

    expect(round.exists()).toBe(true)
    expect(round.element.namespaceURI).toBe('http://www.w3.org/2000/svg')
    expect(tile('HEAVY').find('.round').exists()).toBe(false)
  })

  it('shows a number where it is small', () => {
    expect(tile('HEAVY', 24).get('text').text()).toBe('4')
    expect(tile('HEAVY', 24).findAll('circle')).toHaveLength(1)
  })
})
