import { describe, expect, it } from 'vitest'
import { mountView, settled, stubServer } from '@/testing/mounting'
import ReadingsTable from './ReadingsTable.vue'

const reading = (id: string, over: object) => ({
  id,
  tankId: 1,
  parameter: 'NITRATE',
  amount: 19,
  belowDetection: false,
  early: false,
  method: 'Drop test',
  moment: 'PLAIN',
  takenAt: '2026-11-20T18:30:00Z',
  takenBy: 'Marit',
  ...over,
})
const PARAMETERS = [
  { code: 'NITRATE', label: 'Nitrate', unit: 'mg/L', noise: 2 },
  { code: 'PH', label: 'pH', unit: '', noise: 0.1 },
]

async function open(readings: object[]) {
  const asked = stubServer({
    'GET /api/tanks/1/readings': readings,
    'GET /api/parameters': PARAMETERS,
    'GET /api/session': { name: 'Marit', demoAccounts: [] },
    'DELETE /api/readings/b': 204,
  })
  const { wrapper } = await mountView(ReadingsTable, { tank: 1 })
  return { wrapper, asked }
}

describe('every reading', () => {
  it('teaches when there is none', async () => {
    const { wrapper } = await open([])

    expect(wrapper.text()).toContain('No readings yet.')
  })

  it('is told with its value in the site’s unit, and what is doubtful about it', async () => {
    const { wrapper } = await open([
      reading('a', { belowDetection: true, amount: 0.2 }),
      reading('b', { parameter: 'PH', amount: 7.4, early: true }),
    ])

    const lines = wrapper.findAll('tbody tr').map((line) => line.text())
    expect(lines[0]).toContain('< 0.2 mg/L')
    expect(lines[0]).toContain('Drop test, Marit')
    expect(lines[1]).toContain('○ read early: at least this')
  })

  it('can be removed', async () => {
    const { wrapper, asked } = await open([reading('b', { parameter: 'PH' })])

    await wrapper.get('tbody button').trigger('click')
    await settled()

    expect(asked.map(({ call }) => call)).toContain('DELETE /api/readings/b')
  })
})
