import { afterEach, describe, expect, it } from 'vitest'
import { agree, mountView, press, refusal, settled, stubServer, type Answers } from '@/testing/mounting'
import EditTankView from './EditTankView.vue'

const TANK = {
  tank: {
    id: 2,
    version: 3,
    name: 'Brook bench',
    room: 'Lab',
    netVolumeL: 220,
    establishedOn: '2024-05-01',
    setting: {
      water: 'FRESH',
      stocking: 'NORMAL',
      feeding: 'NORMAL',
      bacteriaHome: 'MEDIA',
      tapWater: 'CHLORAMINE',
      animals: [],
      drawShare: 0.25,
    },
    schools: {
      opening: 'CONDITION_LED',
      sock: 'CLARITY',
      rinse: 'TANK_WATER',
      thoroughness: 'LIGHT',
      measuresFlow: true,
    },
  },
  version: 3,
}
const PUT = 'PUT /api/tanks/2'

async function open(answers: Answers = {}, role = 'KEEPER') {
  const asked = stubServer({
    'GET /api/session': { name: 'Marit', role, demoAccounts: [] },
    'GET /api/tanks': [TANK],
    'GET /api/tanks/2': TANK,
    [PUT]: TANK,
    ...answers,
  })
  const { wrapper, router } = await mountView(EditTankView, { tank: 2 })
  const type = async (field: string, value: string) => {
    await wrapper.get(`[data-field="${field}"] input`).setValue(value)
    await settled()
  }
  const pick = async (name: string, value: string) => {
    await wrapper.get(`[data-field="${name}"] input[value=${value}]`).setValue(true)
    await settled()
  }
  const save = async () => {
    await wrapper.get('form').trigger('submit')
    await settled()
  }
  const sent = () => asked.filter(({ call }) => !call.startsWith('GET'))
  return { wrapper, router, type, pick, save, sent }
}

describe('editing a tank', () => {
  afterEach(() => {
    document.body.innerHTML = ''
  })

  it('sends what was typed with the version that was read, and goes back to the tank', async () => {
    const { router, type, save, sent } = await open()

    await type('netVolumeL', '180,5')
    await save()

    expect(sent()).toMatchObject([
      { call: PUT, body: { version: 3, tank: { name: 'Brook bench', netVolumeL: 180.5 } } },
    ])
    expect(router.currentRoute.value.name).toBe('tank')
  })

  it('shows a share of the tank in percent and stores it as a share', async () => {
    const { wrapper, type, save, sent } = await open()
    const field = wrapper.get<HTMLInputElement>('[data-field="setting.drawShare"] input')
    expect(field.element.value).toBe('25')

    await type('setting.drawShare', '40')
    await save()

    expect(sent()).toMatchObject([{ body: { tank: { setting: { drawShare: 0.4 } } } }])
  })

  it('asks since when there are more animals, for older findings count for what was', async () => {
    const { wrapper, pick, save, sent } = await open()
    expect(wrapper.find('[data-field=changedOn]').exists()).toBe(false)

    await pick('setting.stocking', 'HEAVY')

    expect(wrapper.find('[data-field=changedOn]').exists()).toBe(true)
    await save()
    expect(sent()).toMatchObject([{ body: { tank: { setting: { stocking: 'HEAVY' } } } }])
    expect((sent()[0]?.body as { changedOn: string }).changedOn).toMatch(/^\d{4}-\d\d-\d\d$/)
  })

  it('sends nothing while a number is none, and keeps what was typed', async () => {
    const { wrapper, type, save, sent } = await open()

    await type('netVolumeL', 'much')
    await save()

    expect(sent()).toEqual([])
    expect(wrapper.get('[data-field=netVolumeL] .error').text()).toBe('This is not a number.')
    expect(wrapper.get<HTMLInputElement>('[data-field=netVolumeL] input').element.value).toBe('much')
  })

  it('shows a refusal at its field', async () => {
    const errors = [{ field: 'tank.name', code: 'taken', message: 'Another tank has this name.' }]
    const { wrapper, save } = await open({ [PUT]: refusal(422, { errors }) })

    await save()

    expect(wrapper.get('[data-field=name] .error').text()).toBe('Another tank has this name.')
  })

  it('that somebody else changed meanwhile shows both, and saves mine over theirs if I keep it', async () => {
    const theirs = { ...TANK, version: 4, tank: { ...TANK.tank, name: 'Brook', room: 'Hall' } }
    const answers: Answers = {
      [PUT]: (body: unknown) =>
        (body as { version: number }).version === 3
          ? refusal(409, { code: 'stale', detail: 'Somebody else changed it.', current: theirs })
          : TANK,
    }
    const { wrapper, router, type, save, sent } = await open(answers)
    await type('room', 'Cellar')
    await save()

    const rows = wrapper.findAll('.stale tbody tr').map((row) => row.findAll('td').map((cell) => cell.text()))
    expect(rows).toEqual([
      ['Tank', 'Brook bench', 'Brook'],
      ['Room', 'Cellar', 'Hall'],
    ])
    await press('Keep my version')
    await save()

    expect(sent().at(-1)?.body).toMatchObject({ version: 4, tank: { name: 'Brook bench', room: 'Cellar' } })
    expect(router.currentRoute.value.name).toBe('tank')
  })

  it('is deleted once that was asked, and can be brought back', async () => {
    const { router, sent } = await open({
      'DELETE /api/tanks/2': 204,
      'POST /api/tanks/2/restore': TANK,
    })

    await press('Delete tank…')
    expect(sent()).toEqual([])
    await agree()
    expect(router.currentRoute.value.name).toBe('tanks')
    await press('Undo')

    expect(sent().map(({ call }) => call)).toEqual(['DELETE /api/tanks/2', 'POST /api/tanks/2/restore'])
  })

  it('is not offered to be deleted where a helper edits it', async () => {
    const { wrapper } = await open({}, 'HELPER')

    expect(wrapper.text()).not.toContain('Delete')
    expect(wrapper.find('.give').exists()).toBe(false)
  })
})
