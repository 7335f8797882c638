import { describe, expect, it } from 'vitest'
import { mountView, refusal, settled, stubServer, type Answers } from '@/testing/mounting'
import LogView from './LogView.vue'

const CATALOGUE = {
  startDays: 14,
  leastDays: 5,
  mostDays: 30,
  minutes: 5,
  disturbance: 1,
  why: '',
  cleaned: { on: '2026-01-01', sureness: 'EXACT' },
}
const task = (id: number, stageId: number, name: string, graded: boolean) => ({
  id,
  version: 1,
  stageId,
  action: 'RINSE',
  name,
  mode: 'LEARN',
  graded,
  grades: [],
  withOpening: false,
  catalogue: CATALOGUE,
})
const STAGE = {
  id: 4,
  kind: 'COARSE_FOAM',
  name: 'coarse foam',
  label: '',
  quantity: 1,
  make: 'WASHABLE',
  bagged: false,
  size: '',
}
const SERVICE = {
  id: 'x',
  version: 2,
  tankId: 1,
  doneOn: '2026-11-20',
  doneBy: 'Osei',
  minutes: 7,
  note: 'Snails',
  tasks: [
    {
      taskId: 11,
      filterId: 2,
      stageId: 4,
      name: 'Rinse the coarse foam',
      told: 'Coarse foam rinsed',
      finding: 'LIGHT',
    },
  ],
  flows: [],
  circumstances: { parts: [] },
  photos: 0,
}
const SITE: Answers = {
  'GET /api/session': { name: 'Ines', siteName: 'Home', role: 'KEEPER', needsSetup: false, demoAccounts: [] },
  'GET /api/accounts': [],
  'GET /api/services/x/photos': [],
  'GET /api/tanks/1': { id: 1, version: 1, tank: { name: 'Brook' } },
  'GET /api/tanks/1/filters': [
    {
      id: 2,
      tankId: 1,
      version: 1,
      name: 'Weir',
      kind: 'CANISTER',
      rating: {},
      stages: [STAGE],
      tasks: [task(11, 4, 'Rinse the coarse foam', true), task(12, 4, 'Replace the coarse foam', false)],
    },
  ],
}

async function open(more: Answers, props: Record<string, unknown> = {}, path = '/') {
  const asked = stubServer({ ...SITE, ...more })
  const { wrapper } = await mountView(LogView, { tank: 1, ...props }, path)
  const sent = () => asked.filter(({ call }) => !call.startsWith('GET'))
  const submit = async () => {
    await wrapper.get('form').trigger('submit')
    await settled()
  }
  return { wrapper, sent, submit }
}

describe('logging a service', () => {
  it('asks how a stage looked only once it is ticked', async () => {
    const { wrapper } = await open({})
    expect(wrapper.text()).not.toContain('How did the coarse foam look')

    await wrapper.get('.filter input[type=checkbox]').setValue(true)

    expect(wrapper.text()).toContain('How did the coarse foam look')
  })

  it('starts with what the rounds asked for', async () => {
    const { wrapper } = await open({}, {}, '/?tasks=11')

    expect(
      wrapper.findAll('input[type=checkbox]').map((box) => (box.element as HTMLInputElement).checked),
    ).toEqual([false, true, false])
  })

  it('sends nothing while nothing is ticked, and says so', async () => {
    const { wrapper, sent, submit } = await open({})

    await submit()

    expect(sent()).toEqual([])
    expect(wrapper.get('[data-field=tasks]').text()).toBe('Tick at least one thing that was done.')
  })

  it('keeps the form when the server refuses or cannot be reached', async () => {
    const answers = { 'PUT /api/services/x': 500 }
    localStorage.setItem('chervil.draft.tank 1', '{"id":"x","note":"Shells","done":[11]}')
    const { wrapper, submit } = await open(answers)

    await submit()

    expect(wrapper.text()).toContain('The server answered with 500.')
    expect((wrapper.get('textarea').element as HTMLTextAreaElement).value).toBe('Shells')
  })

  it('shows both values when somebody corrected it meanwhile, and lets one be kept', async () => {
    const current = { ...SERVICE, version: 3, tasks: [{ ...SERVICE.tasks[0], finding: 'HEAVY' }] }
    const { wrapper, sent, submit } = await open(
      {
        'GET /api/services/x': SERVICE,
        'POST /api/services/x/corrections': refusal(409, { detail: 'Changed', current }),
      },
      { service: 'x' },
    )
    await submit()
    expect(wrapper.get('.stale').text()).toContain('Rinse the coarse foam (heavy)')

    await wrapper.findAll('.stale button')[1]?.trigger('click')
    await submit()

    expect(sent().map(({ body }) => (body as { version: number }).version)).toEqual([2, 3])
  })
})
