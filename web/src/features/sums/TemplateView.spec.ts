import { beforeEach, describe, expect, it, vi } from 'vitest'
import { mountView, refusal, settled, stubServer } from '@/testing/mounting'
import { SYSTEMS, useUnitsOf } from '@/shared/units'
import TemplateView from './TemplateView.vue'

const TWO = { values: { across: 1, down: 2, pages: 2, turn: 'PORTRAIT' }, warnings: [] }

async function open(query: string, answer: unknown = TWO) {
  const asked = stubServer({ 'POST /api/sums/tiles': answer })
  const { wrapper } = await mountView(TemplateView, {}, `/template?${query}`)
  return { wrapper, asked }
}

describe('a template at true size', () => {
  beforeEach(() => {
    useUnitsOf(SYSTEMS.METRIC)
    document.adoptedStyleSheets = []
  })

  it('lies over as many pages as the sum says, each in true millimetres and named', async () => {
    const { wrapper, asked } = await open('aMm=188&bMm=300&shape=RECT')

    expect(asked[0]?.body).toEqual({
      given: { aMm: 188, bMm: 300, paper: 'A4', marginMm: 10, overlapMm: 10 },
    })
    const pages = wrapper.findAll('svg.sheet')
    expect(pages.map((page) => page.attributes('aria-label'))).toEqual(['Page A1', 'Page B1'])
    expect(pages[0]?.attributes('viewBox')).toBe('0 0 190 277')
    expect(pages[1]?.attributes('viewBox')).toBe('0 267 190 277')
    expect(pages[0]?.attributes('style')).toContain('width: 190mm')
  })

  it('has one bar of a hundred millimetres, on its first page', async () => {
    const { wrapper } = await open('aMm=188&bMm=300&shape=RECT')

    expect(wrapper.findAll('.bar')).toHaveLength(1)
    expect(wrapper.get('.bar path').attributes('d')).toContain('M14 24H114')
  })

  it('of a round piece with a stem is round, with its hole in the middle', async () => {
    const { wrapper } = await open('aMm=180&shape=CIRCLE&holeMm=25')

    expect(wrapper.get('ellipse').attributes()).toMatchObject({ cx: '90', cy: '90', rx: '90', ry: '90' })
    expect(wrapper.get('circle').attributes()).toMatchObject({ cx: '90', r: '12.5' })
    expect(wrapper.find('rect').exists()).toBe(false)
  })

  it('tells the printer its paper and takes that back when it is left', async () => {
    const rules = () =>
      document.adoptedStyleSheets.flatMap((sheet) => [...sheet.cssRules].map((rule) => rule.cssText))
    const spy = vi.spyOn(CSSStyleSheet.prototype, 'replaceSync')
    const { wrapper } = await open('aMm=188&bMm=300', {
      values: { across: 1, down: 1, pages: 1, turn: 'LANDSCAPE' },
      warnings: [],
    })

    expect(spy.mock.calls.at(-1)?.[0]).toBe('@page { size: 297mm 210mm; margin: 9.5mm; }')
    expect(document.adoptedStyleSheets).toHaveLength(1)
    wrapper.unmount()
    expect(document.adoptedStyleSheets).toHaveLength(0)
    expect(rules()).toEqual([])
  })

  it('is laid out on Letter where feet are read, and anew when the paper is another', async () => {
    useUnitsOf(SYSTEMS.US)
    const { wrapper, asked } = await open('aMm=188&bMm=300')
    expect((asked[0]?.body as { given: { paper: string } }).given.paper).toBe('LETTER')

    await wrapper.get('input[value=A4]').setValue(true)
    await settled()

    expect((asked.at(-1)?.body as { given: { paper: string } }).given.paper).toBe('A4')
  })

  it('of an impossible size says so and offers nothing to print', async () => {
    const { wrapper } = await open(
      'aMm=0',
      refusal(422, { errors: [{ field: 'aMm', code: 'range', message: 'Between 1 and 10,000 mm.' }] }),
    )

    expect(wrapper.get('[role=alert]').text()).toContain('cannot be printed')
    expect(wrapper.findAll('button')).toHaveLength(0)
  })
})
