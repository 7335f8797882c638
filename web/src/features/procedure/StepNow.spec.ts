import { describe, expect, it } from 'vitest'
import { mountView, settled, stubServer } from '@/testing/mounting'
import type { Step } from './queries'
import StepNow from './StepNow.vue'

function step(id: string, more: Partial<Step> = {}): Step {
  return { id, text: `Do ${id}`, reason: '', cautions: [], materials: [], effects: [], ...more }
}
const DRAW = step('draw', { drawnL: 10 })
const LEVEL = step('level', { effects: ['TOPPED_UP'] })
const CATCH = step('flow', { captures: 'FLOW_AFTER' })

async function open(now: Step, answers: Record<string, unknown> = {}) {
  const asked = stubServer({ 'GET /api/tanks/2/sums': [], ...answers })
  const { wrapper } = await mountView(StepNow, {
    step: now,
    steps: [DRAW, LEVEL, CATCH],
    tank: 2,
    media: ['ceramic rings'],
    running: false,
  })
  return { wrapper, asked }
}

describe('the step that tops the tank up', () => {
  it('says how much was drawn and leads to the bench for the rest', async () => {
    const { wrapper } = await open(LEVEL)

    expect(wrapper.get('.top-up').text()).toContain('About 10 L were drawn.')
    expect(wrapper.findAll('a').map((link) => link.text())).toEqual([
      'How much conditioner?',
      'How much hot water?',
    ])
    expect(wrapper.findAll('a')[0]?.attributes('href')).toContain('given.newL=10')
  })

  it('tells the dose in the keeper’s measure and the mix once both are kept for the tank', async () => {
    const keptAt = '2026-05-01T08:00:00Z'
    const { wrapper, asked } = await open(LEVEL, {
      'GET /api/tanks/2/sums': [
        {
          sum: 'conditioner',
          given: { labelMl: 5, labelL: 100, newL: 55, plannedMl: 9, unitMl: 0.1 },
          keptAt,
        },
        { sum: 'mix', given: { coldC: 10, hotC: 50, targetC: 20, litres: 55 }, keptAt },
      ],
      'POST /api/sums/conditioner': { values: { doseMl: 0.5, units: 5 }, warnings: [] },
      'POST /api/sums/mix': { values: { hotL: 2.5, coldL: 7.5 }, warnings: [] },
    })

    expect(wrapper.get('.top-up').text()).toContain('0.5 mL')
    expect(wrapper.get('.top-up').text()).toContain('5 of your measure')
    expect(wrapper.get('.top-up').text()).toContain('2.5 L hot and 7.5 L cold')
    expect(asked.find((one) => one.call === 'POST /api/sums/conditioner')?.body).toEqual({
      given: { labelMl: 5, labelL: 100, newL: 10, unitMl: 0.1 },
    })
  })

  it('says nothing where nothing was drawn', async () => {
    const { wrapper } = await open(DRAW)
    expect(wrapper.find('.top-up').exists()).toBe(false)
  })
})

describe('the step that measures the flow', () => {
  it('takes the middle one of three catches, and a catch that went wrong out again', async () => {
    const { wrapper } = await open(CATCH)
    const button = (label: string) => wrapper.findAll('button').find((one) => one.text().startsWith(label))
    const type = (field: string, text: string) => wrapper.get(`[data-field="${field}"] input`).setValue(text)
    await type('litres', '2')
    for (const seconds of ['10', '20']) {
      await type('seconds', seconds)
      await button('Catch again')?.trigger('click')
    }
    await wrapper.get('[aria-label="Take out catch 2"]').trigger('click')
    await type('seconds', '9')
    await button('Catch again')?.trigger('click')
    await type('seconds', '9.5')
    await settled()

    await button('Keep')?.trigger('click')

    expect(wrapper.emitted('flow')?.[0]?.[0]).toBeCloseTo(757.9, 1)
    expect(wrapper.get('[role=status]').text()).toBe('Kept: 758 L/h')
  })
})

describe('a pump that is opened', () => {
  it('is asked for media in it, and where from', async () => {
    const { wrapper } = await open(step('impeller-out:7', { captures: 'STRAY' }))

    expect(wrapper.findAll('.few .el-radio-button').map((choice) => choice.text())).toEqual([
      'No',
      'Yes, from the ceramic rings',
      'Yes, nobody can tell where from',
    ])
    await wrapper.get('input[value="ceramic rings"]').setValue(true)
    expect(wrapper.findComponent(StepNow).emitted('stray')).toEqual([['ceramic rings']])
  })

  it('shows what was said, and nothing chosen before', async () => {
    const { wrapper } = await open(step('impeller-out:7', { captures: 'STRAY' }))
    expect(wrapper.findAll('.is-active')).toHaveLength(0)

    stubServer({})
    const said = await mountView(StepNow, {
      step: step('impeller-out:7', { captures: 'STRAY' }),
      steps: [],
      tank: 2,
      media: [],
      stray: '',
      running: false,
    })
    expect(said.wrapper.get('.is-active').text()).toBe('No')
  })
})
