import { beforeEach, describe, expect, it, vi } from 'vitest'
import served from '@/generated/sums.json'
import { choose, mountView, refusal, settled, stubServer } from '@/testing/mounting'
import RulesView from './RulesView.vue'
import SumsView from './SumsView.vue'
import SumView from './SumView.vue'
import VesselsView from './VesselsView.vue'

const BROOK = {
  id: 2,
  version: 1,
  tank: { name: 'Brook bench', netVolumeL: 220, setting: { stocking: 'LIGHT', bucketL: 8, water: 'FRESH' } },
}
const WEIR = {
  id: 4,
  name: 'Weir',
  kind: 'CANISTER',
  version: 3,
  rating: { flowLph: 1200 },
  stages: [],
  tasks: [{ id: 9, version: 1, name: 'Change the cartridge', mode: 'LEARN', catalogue: {} }],
}
const WATER = {
  last: [{ parameter: 'TEMPERATURE', amount: 16, takenAt: '2026-05-30T08:00:00Z' }],
  tap: [],
  production: [],
}
const MIX = { values: { hotShare: 0.2, hotL: 11, coldL: 44 }, warnings: ['SCALD'] }
const CATCH = { values: { lph: 720, spread: 0.02, plusMinus: 0.03 }, warnings: ['FEW'] }
const SHEET = { name: 'Foam sheet', unit: 'PIECE', turned: false }

async function open(sum: string, answers: Record<string, unknown> = {}) {
  sessionStorage.clear()
  const asked = stubServer({
    'GET /api/session': { name: 'Marit', demoAccounts: [] },
    'GET /api/sums': served,
    'GET /api/tanks': [BROOK],
    'GET /api/tanks/2/filters': [WEIR],
    'GET /api/tanks/2/sums': [],
    'GET /api/tanks/2/water': WATER,
    'GET /api/tanks/2/services': [],
    'GET /api/forecasts': [],
    'GET /api/stores': { items: [{ id: 8, version: 1, item: SHEET, shelf: { ready: 4 } }], notKept: [] },
    'GET /api/vessels': [],
    ...answers,
  })
  const { wrapper } = await mountView(SumView, { sum })
  const type = async (field: string, text: string) => {
    await wrapper.get(`[data-field="${field}"] input`).setValue(text)
  }
  const given = () =>
    (asked.findLast((one) => one.call === `POST /api/sums/${sum}`)?.body as { given: unknown } | undefined)
      ?.given
  const answered = () =>
    vi.waitFor(() => {
      expect(wrapper.find('.says:not(.quiet)').exists()).toBe(true)
    })
  return { wrapper, asked, type, given, answered }
}

describe('a sum on its page', () => {
  it('stands filled with what the tank knows and answers once the rest is typed', async () => {
    const { wrapper, type, given, answered } = await open('mix', { 'POST /api/sums/mix': MIX })
    expect(wrapper.get('.says').text()).toBe('Still to say: cold tap, hot tap.')
    expect(wrapper.get('[data-field="tankC"] input').element).toHaveProperty('value', '16')
    expect(wrapper.get('[data-field="tankC"]').text()).toContain('Read')

    await type('coldC', '9')
    await type('hotC', '52,5')
    await answered()

    expect(wrapper.get('.says').text()).toBe('11 L hot and 44 L cold.')
    expect(wrapper.get('.warnings').text()).toContain('scalds')
    expect(given()).toMatchObject({ coldC: 9, hotC: 52.5, targetC: 16, litres: 55, share: 0.25 })
  })

  it('says at the field what is out of range, before anybody is asked', async () => {
    const { wrapper, asked, type } = await open('mix')

    await type('coldC', '9')
    await type('hotC', '120')

    expect(wrapper.get('[data-field="hotC"] .error').text()).toBe('Between 0 and 90 °C.')
    expect(wrapper.get('.says').text()).toBe('One value needs another look.')
    expect(asked.some((one) => one.call === 'POST /api/sums/mix')).toBe(false)
  })

  it('shows a refusal of the server at its field', async () => {
    const { wrapper, type } = await open('mix', {
      'POST /api/sums/mix': refusal(422, {
        errors: [{ field: 'hotC', code: 'impossible', message: 'Hot must be warmer than cold.' }],
      }),
    })

    await type('coldC', '20')
    await type('hotC', '19')

    await vi.waitFor(() => {
      expect(wrapper.get('[data-field="hotC"] .error').text()).toBe('Hot must be warmer than cold.')
    })
  })

  it('keeps for the tank what was given', async () => {
    const { wrapper, asked, type, answered } = await open('mix', {
      'POST /api/sums/mix': MIX,
      'PUT /api/tanks/2/sums/mix': 204,
    })
    await type('coldC', '9')
    await type('hotC', '50')
    await answered()

    await wrapper
      .findAll('button')
      .find((one) => one.text() === 'Keep for this tank')
      ?.trigger('click')
    await settled()

    expect(asked.find((one) => one.call === 'PUT /api/tanks/2/sums/mix')?.body).toMatchObject({
      given: { coldC: 9, hotC: 50 },
    })
  })

  it('makes a caught flow a reading of its filter, one catch being enough', async () => {
    const { wrapper, asked, type, given, answered } = await open('catch', {
      'POST /api/sums/catch': CATCH,
      'PUT /api/services': 204,
    })
    await type('catches[0].litres', '2')
    await type('catches[0].seconds', '10')
    await answered()
    expect(given()).toMatchObject({ catches: [{ litres: 2, seconds: 10 }], ratedLph: 1200, netL: 220 })

    await wrapper
      .findAll('button')
      .find((one) => one.text() === 'Keep as a reading')
      ?.trigger('click')
    await settled()

    const put = asked.find((one) => one.call.startsWith('PUT /api/services/'))
    expect(put?.body).toMatchObject({
      tankId: 2,
      tasks: [],
      flows: [{ filterId: 4, before: { litresPerHour: 720 } }],
    })
  })

  it('has nothing done with an answer until it is that of what was typed last', async () => {
    const { wrapper, type, answered } = await open('catch', { 'POST /api/sums/catch': CATCH })
    const does = () => wrapper.get('[aria-label="What to do with it"]')
    await type('catches[0].litres', '2')
    await type('catches[0].seconds', '10')
    await answered()
    await vi.waitFor(() => {
      expect(does().attributes()).not.toHaveProperty('inert')
    })

    await type('catches[1].litres', '2')
    await type('catches[1].seconds', '11')
    expect(does().attributes()).toHaveProperty('inert')

    await vi.waitFor(() => {
      expect(does().attributes()).not.toHaveProperty('inert')
    })
  })

  it('takes sheets that were cut up off their shelf', async () => {
    const cut = { best: 26, sheets: 1, cuts: 28, waste: 0.07, pieces: [{ x: 0, y: 0, w: 108, h: 83 }] }
    const { wrapper, asked, type, answered } = await open('cut', {
      'POST /api/sums/cut': { values: cut, warnings: [] },
    })
    await wrapper.get('[data-field="shape"] input').setValue(true)
    for (const [field, text] of Object.entries({ aMm: '100', bMm: '75', sheetWMm: '500', sheetHMm: '500' })) {
      await type(field, text)
    }
    await answered()
    expect(wrapper.findAll('.piece')).toHaveLength(1)

    await choose(wrapper, 'sheet', 'Foam sheet')
    await wrapper
      .findAll('button')
      .find((one) => one.text() === 'Take them from Stores')
      ?.trigger('click')
    await settled()

    expect(asked.find((one) => one.call.startsWith('PUT /api/stores/moves/'))?.body).toMatchObject({
      itemId: 8,
      kind: 'LOST',
      amount: 1,
    })
  })

  it('plans the chore it speaks for and takes it out again', async () => {
    const settled_ = { peak: 45, trough: 33, rise: 12 }
    const { wrapper, asked, type, answered } = await open('schedule', {
      'POST /api/sums/schedule': { values: settled_, warnings: [] },
      'GET /api/tanks/2/chores': [{ kind: 'WATER_CHANGE', everyDays: 14 }],
      'PUT /api/tanks/2/chores/WATER_CHANGE': {},
    })
    await type('perWeek', '12')
    await answered()

    await wrapper
      .findAll('button')
      .find((one) => one.text() === 'Plan it every 7 days')
      ?.trigger('click')
    await settled()
    const undo = [...document.querySelectorAll<HTMLElement>('.el-message button')].at(-1)
    undo?.click()
    await settled()

    const put = asked.filter((one) => one.call === 'PUT /api/tanks/2/chores/WATER_CHANGE')
    expect(put.map((one) => one.body)).toEqual([{ everyDays: 7 }, { everyDays: 14 }])
  })

  it('that is a mass becomes that of the media, all else of the filter staying', async () => {
    const bio = {
      id: 6,
      kind: 'BIO_MEDIA',
      name: 'bio media',
      label: '',
      quantity: 1,
      make: 'WASHABLE',
      bagged: true,
      size: '',
      lasting: {},
      massG: 900,
    }
    const weir = {
      ...WEIR,
      stages: [bio],
      cleaned: { on: '2026-05-01', sureness: 'EXACT' },
      passport: {},
      placesStated: false,
    }
    const { wrapper, asked, type, answered } = await open('hold', {
      'GET /api/tanks/2/filters': [weir],
      'PUT /api/filters/4': weir,
      'POST /api/sums/hold': { values: { litres: 3.1, kg: 1.8469, carriesL: 150 }, warnings: [] },
    })
    await wrapper.get('[data-field="shape"] input').setValue(true)
    await choose(wrapper, 'media', 'Porous ceramic')
    for (const [field, text] of Object.entries({ lengthMm: '200', widthMm: '180', heightMm: '90' })) {
      await type(field, text)
    }
    await answered()

    await choose(wrapper, 'stage', 'bio media')
    await wrapper
      .findAll('button')
      .find((one) => one.text() === 'Keep it')
      ?.trigger('click')
    await settled()

    const put = asked.find((one) => one.call === 'PUT /api/filters/4')?.body as {
      version: number
      filter: { stages: unknown[] }
    }
    expect(put.version).toBe(3)
    expect(put.filter.stages[0]).toMatchObject({ id: 6, massG: 1847 })
  })

  it('of two ways is adopted part by part, with the way back', async () => {
    const { wrapper, asked, answered } = await open('cost', {
      'GET /api/tanks/2/sums': [
        {
          sum: 'cost',
          given: { options: [{}, { parts: [{ price: 9, size: 400, everyDays: 30 }] }] },
          keptAt: '2026-05-01T08:00:00Z',
        },
      ],
      'POST /api/sums/cost': {
        values: { perYear: [73, 2], upfront: [0, 2], savesPerYear: 71 },
        warnings: [],
      },
      'PUT /api/tasks/9': {},
      'PUT /api/stores/items/8': 204,
    })
    await answered()
    expect(wrapper.get('.says').text()).toBe('The other way saves €71.00 a year.')

    await choose(wrapper, 'task[0]', 'Change the cartridge')
    await choose(wrapper, 'item[0]', 'Foam sheet')
    await wrapper
      .findAll('button')
      .find((one) => one.text() === 'Adopt it')
      ?.trigger('click')
    await settled()

    expect(asked.find((one) => one.call === 'PUT /api/tasks/9')?.body).toEqual({
      version: 1,
      mode: 'FIXED',
      fixedDays: 30,
    })
    expect(asked.find((one) => one.call === 'PUT /api/stores/items/8')?.body).toMatchObject({
      version: 1,
      item: { name: 'Foam sheet', price: 0.0225 },
    })
  })

  it('that nobody knows leads back to all of them', async () => {
    const { wrapper } = await open('wishes')
    expect(wrapper.text()).toContain('There is no such sum.')
  })
})

describe('the sums', () => {
  beforeEach(() => {
    stubServer({})
  })

  it('are found by a word of their question', async () => {
    const { wrapper } = await mountView(SumsView)
    expect(wrapper.findAll('li').length).toBe(29)

    await wrapper.get('input').setValue('foam sheet')
    expect(wrapper.findAll('li').map((one) => one.text())).toEqual(['How many pieces from a sheet?'])

    await wrapper.get('input').setValue('unicorn')
    expect(wrapper.text()).toContain('No sum asks that.')
  })
})

describe('rules of thumb', () => {
  const RULE = { key: 'mix.stepLimit', measure: 'KELVIN', ours: 2, least: 0.2, most: 10 }

  it('are kept when changed and go back to ours', async () => {
    const asked = stubServer({
      'GET /api/sum-rules': [{ ...RULE, kept: 3 }],
      'PUT /api/sum-rules/mix.stepLimit': 204,
      'DELETE /api/sum-rules/mix.stepLimit': 204,
    })
    const { wrapper } = await mountView(RulesView)
    expect(wrapper.text()).toContain('Ours is 2 °C.')

    await wrapper.get('input').setValue('2.5')
    await wrapper.get('input').trigger('change')
    await settled()
    expect(asked.find((one) => one.call.startsWith('PUT'))?.body).toEqual({ value: 2.5 })

    await wrapper
      .findAll('button')
      .find((one) => one.text() === 'Go back to ours')
      ?.trigger('click')
    await settled()
    expect(asked.some((one) => one.call === 'DELETE /api/sum-rules/mix.stepLimit')).toBe(true)
  })

  it('out of range are refused at their field', async () => {
    stubServer({
      'GET /api/sum-rules': [RULE],
      'PUT /api/sum-rules/mix.stepLimit': refusal(422, {
        errors: [{ field: 'value', code: 'out-of-range', message: 'Between 0.2 and 10 °C.' }],
      }),
    })
    const { wrapper } = await mountView(RulesView)

    await wrapper.get('input').setValue('11')
    await wrapper.get('input').trigger('change')
    await settled()

    expect(wrapper.get('.error').text()).toBe('Between 0.2 and 10 °C.')
  })
})

describe('tubs and caps', () => {
  it('are added in litres or millilitres and stored in millilitres', async () => {
    const asked = stubServer({ 'GET /api/vessels': [] })
    const { wrapper } = await mountView(VesselsView)
    expect(wrapper.text()).toContain('None yet.')

    await wrapper.get('form').trigger('submit')
    expect(wrapper.get('[data-field="millilitres"] .error').text()).toBe('How much does it hold?')

    await wrapper.get('[data-field="name"] input').setValue('Blue tub')
    await wrapper.get('[data-field="millilitres"] input').setValue('9')
    await wrapper.get('form').trigger('submit')
    await settled()

    expect(asked.find((one) => one.call.startsWith('PUT /api/vessels/'))?.body).toEqual({
      kind: 'TUB',
      name: 'Blue tub',
      millilitres: 9000,
    })
  })
})
