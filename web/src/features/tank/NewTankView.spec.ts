import { describe, expect, it } from 'vitest'
import { mountView, refusal, settled, stubServer, type Answers } from '@/testing/mounting'
import NewTankView from './NewTankView.vue'

const TEMPLATES = [
  { kind: 'CANISTER', words: 'canister', stages: [{ kind: 'COARSE_FOAM', make: 'WASHABLE' }] },
  {
    kind: 'SUMP',
    words: 'sump',
    stages: [
      { kind: 'SOCK', make: 'WASHABLE' },
      { kind: 'RETURN_PUMP', make: 'WASHABLE' },
    ],
  },
]

async function open(answers: Answers) {
  const all: Answers = {
    'GET /api/tanks': [],
    'GET /api/filter-templates': TEMPLATES,
    'POST /api/tanks': { id: 7 },
    ...answers,
  }
  const asked = stubServer(all)
  const { wrapper, router } = await mountView(NewTankView)
  const type = (field: string, value: string) =>
    wrapper.findAll(`[data-field="${field}"] input`).at(-1)?.setValue(value)
  const save = async () => {
    await wrapper.get('form').trigger('submit')
    await settled()
  }
  const sent = () => asked.filter(({ call }) => call.startsWith('POST')).map(({ call }) => call)
  return { wrapper, router, all, type, save, sent }
}

describe('a new tank', () => {
  it('names everything that is missing at once, before anything is sent', async () => {
    const { wrapper, save, sent } = await open({})

    await save()

    expect(wrapper.get('[data-field=netVolumeL] .error').text()).toBe('How much water does it hold?')
    expect(wrapper.findAll('[data-field=name] .error').at(-1)?.text()).toBe('Give the filter a name.')
    expect(wrapper.get('[data-field=running] .error').text()).toBe('How long has it been running?')
    expect(sent()).toEqual([])
  })

  it('starts the water path from the template of the kind that is chosen', async () => {
    const { wrapper } = await open({})
    expect(wrapper.findAll('form .path .name').map((name) => name.text())).toEqual(['Coarse foam'])

    await wrapper.get('input[value=SUMP]').setValue(true)
    await settled()

    expect(wrapper.findAll('form .path .name').map((name) => name.text())).toEqual(['Sock', 'Return pump'])
  })

  it('does not make the tank twice when its filter is refused', async () => {
    const errors = [{ field: 'name', code: 'size', message: 'At most 80 characters.' }]
    const { wrapper, router, all, type, save, sent } = await open({
      'POST /api/tanks/7/filters': refusal(422, { errors }),
    })
    await wrapper.findAll('[data-field=name] input')[0]?.setValue('Brook')
    await type('netVolumeL', '220')
    await wrapper.get('input[value=YEARS]').setValue(true)
    await type('name', 'Weir')
    await save()
    expect(wrapper.text()).toContain('Brook is saved. Its filter comes next.')
    expect(wrapper.get('[data-field=name] .error').text()).toBe('At most 80 characters.')

    all['POST /api/tanks/7/filters'] = { id: 3 }
    await save()

    expect(sent()).toEqual(['POST /api/tanks', 'POST /api/tanks/7/filters', 'POST /api/tanks/7/filters'])
    expect(router.currentRoute.value.params.tank).toBe('7')
  })
})
