import { describe, expect, it } from 'vitest'
import { mountView, settled, stubServer } from '@/testing/mounting'
import { openingWords, withAlong } from './opening'
import PrepareView from './PrepareView.vue'

const OPEN = 11
const RINSE = 12
const IMPELLER = 13
const HOSES = 14
const task = (id: number, name: string, mode = 'LEARN') => ({ id, name, mode, action: 'CLEAN' })
const FILTERS = [
  {
    id: 3,
    tankId: 1,
    name: 'Weir',
    stages: [],
    tasks: [
      task(OPEN, 'Open canister Weir'),
      task(RINSE, 'Rinse the pre-filter'),
      task(IMPELLER, 'Clean the impeller'),
      task(HOSES, 'Brush the hoses', 'OFF'),
    ],
  },
]
const due = (taskId: number, earliest: string) => ({
  subject: { tankId: 1, filterId: 3, taskId, name: '' },
  window: { earliest, ideal: earliest, latest: earliest },
  reasons: [],
  signs: [],
})
const MAJOR = {
  taskId: OPEN,
  size: 'MAJOR',
  along: [IMPELLER, HOSES],
  why: 'The third opening since 4 May: see to head, seals and hoses as well.',
} as const

async function open(forecasts: unknown[], path = '/') {
  const asked = stubServer({
    'GET /api/session': { name: 'Marit', role: 'KEEPER', demoAccounts: [] },
    'GET /api/tanks/1': { id: 1, tank: { name: 'Brook bench', setting: { water: 'FRESH' } } },
    'GET /api/tanks/1/filters': FILTERS,
    'GET /api/forecasts': forecasts,
    'GET /api/tanks/1/openings': [MAJOR],
    'GET /api/filters/3/procedure': 404,
  })
  const { wrapper } = await mountView(PrepareView, { tank: 1 }, path)
  await settled()
  const ticked = () =>
    wrapper
      .findAll('.tick')
      .filter((one) => one.find('input').element.checked)
      .map((one) => one.text())
  return { wrapper, asked, ticked }
}

describe('before a service', () => {
  it('what is due is ticked, and what is not is not', async () => {
    const { ticked, wrapper } = await open([due(RINSE, '2020-01-01'), due(OPEN, '2099-01-01')])

    expect(ticked()).toEqual(['Rinse the pre-filter'])
    expect(wrapper.text()).not.toContain('opening.')
  })

  it('a major opening that is due brings head and hoses along and says why; what is switched off stays off', async () => {
    const { ticked, wrapper } = await open([due(OPEN, '2020-01-01')])

    expect(ticked()).toEqual(['Open canister Weir', 'Clean the impeller'])
    expect(wrapper.get('[role=status]').text()).toBe(
      'A major opening. The third opening since 4 May: see to head, seals and hoses as well.',
    )
  })

  it('what goes along is ticked with the opening, and stays off once it was taken off', async () => {
    const { ticked, wrapper } = await open([due(RINSE, '2020-01-01')])
    const box = (name: string) =>
      wrapper
        .findAll('.tick')
        .find((one) => one.text() === name)
        ?.get('input')

    await box('Open canister Weir')?.setValue(true)
    expect(ticked()).toContain('Clean the impeller')
    await box('Clean the impeller')?.setValue(false)
    await settled()

    expect(ticked()).toEqual(['Open canister Weir', 'Rinse the pre-filter'])
  })

  it('names nothing twice, and says nothing of an opening that is not among the tasks', () => {
    expect(withAlong([OPEN, IMPELLER], [{ ...MAJOR, along: [IMPELLER] }], [OPEN, IMPELLER])).toEqual([
      OPEN,
      IMPELLER,
    ])
    expect(withAlong([RINSE], [{ ...MAJOR, along: [IMPELLER] }], [RINSE, IMPELLER])).toEqual([RINSE])
    expect(openingWords([OPEN], [{ ...MAJOR, along: [], size: 'MINOR', why: 'Foam only.' }])).toEqual([
      'A minor opening. Foam only.',
    ])
    expect(openingWords([RINSE], [{ ...MAJOR, along: [] }])).toEqual([])
  })
})
