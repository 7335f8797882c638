import { beforeEach, describe, expect, it, vi } from 'vitest'
import { choose, mountView, refusal, settled, stubServer } from '@/testing/mounting'
import ExchangeView from './ExchangeView.vue'
import PiecesView from './PiecesView.vue'
import PieceView from './PieceView.vue'
import TankMedia from './TankMedia.vue'

const SESSION = {
  name: 'Ada',
  siteName: 'Tern House',
  role: 'KEEPER',
  needsSetup: false,
  demoAccounts: [],
  places: [],
}
const TANKS = [
  { id: 2, tank: { name: 'Brook bench' } },
  { id: 6, tank: { name: 'Newt nursery' } },
]
const FILTERS = [
  {
    id: 5,
    tankId: 2,
    name: 'Weir',
    stages: [{ id: 8, kind: 'BIO_MEDIA', name: 'bio media', massG: 1500 }],
    tasks: [],
  },
  { id: 9, tankId: 6, name: 'Puff', stages: [], tasks: [] },
]
const BAG = {
  id: 'bag',
  name: 'Bag A',
  kind: 'POROUS',
  kindName: 'porous ceramic',
  grams: 250,
  since: '2026-04-20',
  state: 'RIPE',
  share: 0.93,
  stays: [
    {
      spot: 'SEEDING',
      where: 'Weir on Brook bench',
      tankId: 2,
      filterId: 5,
      forTank: 'Newt nursery',
      forTankId: 6,
      from: '2026-04-20',
    },
  ],
  lastMove: { id: 'first', on: '2026-04-20', doneBy: 'Ada' },
  parts: [],
}
const EXCHANGE = {
  id: 'ex',
  stageId: 8,
  stage: 'bio media of Weir',
  grams: 1500,
  freshGrams: 1500,
  done: 1,
  portions: [
    { on: '2026-06-01', grams: 500, freshGrams: 500 },
    { on: '2026-06-29', grams: 500, freshGrams: 500 },
    { on: '2026-07-27', grams: 500, freshGrams: 500 },
  ],
}

const answers = (more: Record<string, unknown> = {}) => ({
  'GET /api/session': SESSION,
  'GET /api/tanks': TANKS,
  'GET /api/tanks/2': { ...TANKS[0], id: 2 },
  'GET /api/filters': FILTERS,
  'GET /api/tanks/2/filters': FILTERS.slice(0, 1),
  'GET /api/quarantine-tanks': [6],
  'GET /api/media': [BAG],
  'GET /api/media/bag': {
    piece: BAG,
    curve: [
      { on: '2026-04-20', share: 0 },
      { on: '2026-06-01', share: 0.93 },
    ],
  },
  'GET /api/tanks/2/exchanges': [],
  ...more,
})

const button = (
  wrapper: { findAll: (css: string) => { text: () => string; trigger: (event: string) => Promise<void> }[] },
  words: string,
) => {
  const found = wrapper.findAll('button').find((one) => one.text() === words)
  if (!found) throw new Error(`no button ${words}`)
  return found
}

beforeEach(() => {
  document.body.innerHTML = ''
  localStorage.clear()
  vi.useFakeTimers({ toFake: ['Date'], now: new Date('2026-06-01T12:00:00') })
})

describe('all media of a site', () => {
  it('stands by where it is, each with what it is worth', async () => {
    stubServer(answers())
    const { wrapper } = await mountView(PiecesView)

    const row = wrapper.get('section[aria-label="Seeding"] li').text()
    expect(row).toContain('Bag A')
    expect(row).toContain('250 g of porous ceramic')
    expect(row).toContain('Weir on Brook bench, seeding for Newt nursery since')
    expect(row).toContain('Ripe')
  })

  it('says what it is for while there is none, and what failed where it cannot be loaded', async () => {
    stubServer(answers({ 'GET /api/media': [] }))
    expect((await mountView(PiecesView)).wrapper.text()).toContain('Nothing on record yet')
    stubServer(answers({ 'GET /api/media': 500 }))
    expect((await mountView(PiecesView)).wrapper.get('[role=alert]').text()).toContain('the media')
  })

  it('takes a bag on record where it is', async () => {
    const asked = stubServer(
      answers({
        [`PUT /api/media/${'x'}`]: BAG,
      }),
    )
    const { wrapper } = await mountView(PiecesView)
    await button(wrapper, 'Take it on record').trigger('submit')
    expect(wrapper.get('[data-field="kind"]').text()).toContain('What is it made of?')
    expect(wrapper.get('[data-field="grams"]').text()).toContain('How many grams?')

    await wrapper.get('[data-field="name"] input').setValue('Bag B')
    await choose(wrapper, 'kind', 'Lava')
    await wrapper.get('[data-field="grams"] input').setValue('300')
    await choose(wrapper, 'spot.kind', 'Seeding')
    await choose(wrapper, 'spot.filterId', 'Weir on Brook bench')
    await choose(wrapper, 'spot.forTankId', 'Newt nursery')
    await button(wrapper, 'Take it on record').trigger('submit')
    await settled()

    const put = asked.find((one) => one.call.startsWith('PUT /api/media/'))
    expect(put?.body).toMatchObject({
      name: 'Bag B',
      kind: 'LAVA',
      grams: 300,
      since: '2026-06-01',
      spot: { kind: 'SEEDING', filterId: 5, forTankId: 6 },
    })
  })

  it('shows which tanks are for quarantine, and a keeper changes it', async () => {
    const asked = stubServer(answers({ 'PUT /api/tanks/2/quarantine': 204 }))
    const { wrapper } = await mountView(PiecesView)
    const boxes = wrapper.findAll<HTMLInputElement>('[aria-labelledby="quarantine"] input')

    expect(boxes.map((box) => box.element.checked)).toEqual([false, true])
    await boxes[0]?.setValue(true)
    await settled()
    expect(asked.find((one) => one.call === 'PUT /api/tanks/2/quarantine')?.body).toEqual({
      quarantine: true,
    })
  })
})

describe('one piece', () => {
  const advice = {
    holds: [],
    advice: ['That carries about 45 % of its stocking from the first day, by rule of thumb.'],
    gap: 'Close the gap in Weir: water takes the way round media.',
    carries: 0.45,
  }

  it('draws its life and tells it to those who do not see it', async () => {
    stubServer(answers())
    const { wrapper } = await mountView(PieceView, { piece: 'bag' })

    expect(wrapper.get('figure').attributes('aria-label')).toContain(
      'Weir on Brook bench, seeding for Newt nursery',
    )
    expect(wrapper.get('path.curve').attributes('d')).toBe('M 0.0 120.0 L 800.0 8.4')
  })

  it('says what is to be known before it is moved, and moves it', async () => {
    const asked = stubServer(answers({ 'POST /api/media/bag/advice': advice }))
    const { wrapper } = await mountView(PieceView, { piece: 'bag' })
    await choose(wrapper, 'to.kind', 'In a filter')
    await choose(wrapper, 'to.filterId', 'Puff on Newt nursery')
    await settled()
    expect(wrapper.text()).toContain('about 45 % of its stocking')
    expect(wrapper.text()).toContain('Close the gap in Weir')

    await button(wrapper, 'Move it').trigger('submit')
    await settled()
    expect(asked.find((one) => one.call.startsWith('PUT /api/media/bag/moves/'))?.body).toMatchObject({
      on: '2026-06-01',
      to: { kind: 'IN_FILTER', filterId: 9 },
    })
  })

  it('asks why where something speaks against it, and lets nothing through that cannot be', async () => {
    const given = { ...advice, holds: ['This tank is 14 days old.'] }
    stubServer(answers({ 'POST /api/media/bag/advice': given }))
    const { wrapper } = await mountView(PieceView, { piece: 'bag' })
    await choose(wrapper, 'to.kind', 'Wet, on the shelf')
    await settled()
    expect(wrapper.find('[data-field="why"]').exists()).toBe(true)

    stubServer(answers({ 'POST /api/media/bag/advice': { ...advice, refusal: 'It is a quarantine tank.' } }))
    const again = await mountView(PieceView, { piece: 'bag' })
    await choose(again.wrapper, 'to.kind', 'Wet, on the shelf')
    await settled()
    expect(again.wrapper.text()).toContain('It is a quarantine tank.')
    const move = again.wrapper.findAll('button').find((one) => one.text() === 'Move it')
    expect(move?.attributes('disabled')).toBeDefined()
  })

  it('keeps what was typed when a move is refused', async () => {
    stubServer(
      answers({
        'POST /api/media/bag/advice': advice,
      }),
    )
    const { wrapper } = await mountView(PieceView, { piece: 'bag' })
    await choose(wrapper, 'to.kind', 'In a filter')
    await button(wrapper, 'Move it').trigger('submit')
    await settled()

    expect(wrapper.get('[data-field="to.filterId"]').text()).toContain('Into which filter?')
    expect(wrapper.get('[data-field="to.kind"]').text()).toContain('In a filter')
  })

  it('says what stands at no field of its own', async () => {
    const holds = 'This stage holds 200 g.'
    stubServer(
      answers({
        'POST /api/media/bag/advice': refusal(422, {
          code: 'rejected',
          detail: holds,
          errors: [{ field: 'grams', code: 'more-than-there-is', message: holds }],
        }),
      }),
    )
    const { wrapper } = await mountView(PieceView, { piece: 'bag' })
    await choose(wrapper, 'to.kind', 'Dry, on the shelf')
    await settled()

    expect(wrapper.get('form [role=alert]').text()).toBe(holds)
  })

  it('is taken off record only after it was asked', async () => {
    const asked = stubServer(answers({ 'DELETE /api/media/bag': 204 }))
    const { wrapper } = await mountView(PieceView, { piece: 'bag' })
    await button(wrapper, 'Take it off record').trigger('click')
    await settled()
    expect(asked.some((one) => one.call.startsWith('DELETE'))).toBe(false)
    const sure = [...document.querySelectorAll<HTMLElement>('.el-dialog button')].find((one) =>
      one.textContent.includes('Take it off record'),
    )
    sure?.click()
    await settled()
    expect(asked.some((one) => one.call === 'DELETE /api/media/bag')).toBe(true)
  })
})

describe('an exchange in portions', () => {
  it('shows what is done and what comes next', async () => {
    stubServer(answers({ 'GET /api/tanks/2/exchanges': [EXCHANGE] }))
    const { wrapper } = await mountView(ExchangeView, { tank: 2 })

    expect(wrapper.text()).toContain('1 of 3 portions done')
    expect(wrapper.findAll('li.done')).toHaveLength(1)
    expect(wrapper.get('li.next').text()).toContain('500 g out')
  })

  it('tells of those before how the tank took them, or from when on it can', async () => {
    const ended = { ...EXCHANGE, done: 3, endedOn: '2026-03-02', verdictOn: '2026-04-27' }
    stubServer(
      answers({
        'GET /api/tanks/2/exchanges': [
          { ...ended, verdict: 'No ammonia and no nitrite showed since the first portion.' },
          { ...ended, id: 'later', endedOn: '2026-05-20', verdictOn: '2026-07-15' },
        ],
      }),
    )
    const past = (await mountView(ExchangeView, { tank: 2 })).wrapper.findAll('[aria-labelledby="past"] li')

    expect(past[0]?.text()).toContain('No ammonia and no nitrite showed')
    expect(past[1]?.text()).toContain('eight weeks of readings tell')
  })

  it('is seen before it begins, and begun', async () => {
    const asked = stubServer(
      answers({
        'POST /api/tanks/2/exchange-plan': {
          portions: EXCHANGE.portions,
          told: ['The old media that stays carries the tank.'],
        },
      }),
    )
    const { wrapper } = await mountView(ExchangeView, { tank: 2 })
    await choose(wrapper, 'stageId', 'bio media of Weir, 1.5 kg')
    await wrapper.get('[data-field="grams"] input').setValue('1500')
    await settled()
    expect(wrapper.get('[aria-label="How it would go"]').findAll('li')).toHaveLength(3)

    await button(wrapper, 'Begin the exchange').trigger('submit')
    await settled()
    expect(asked.find((one) => one.call.startsWith('PUT /api/tanks/2/exchanges/'))?.body).toMatchObject({
      stageId: 8,
      grams: 1500,
      portions: 3,
      firstOn: '2026-06-01',
    })
  })

  it('names only the fields that lack something', async () => {
    stubServer(answers())
    const { wrapper } = await mountView(ExchangeView, { tank: 2 })
    await button(wrapper, 'Begin the exchange').trigger('submit')
    await settled()

    expect(wrapper.get('[data-field="stageId"]').text()).toContain('Which media?')
    expect(wrapper.get('[data-field="grams"]').text()).toContain('How much of it?')
    expect(wrapper.get('[data-field="portions"]').text()).not.toContain('whole number')
  })

  it('has the refusal of the plan at its field', async () => {
    stubServer(
      answers({
        'POST /api/tanks/2/exchange-plan': refusal(422, {
          code: 'rejected',
          detail: 'This stage holds 1500 g.',
          errors: [{ field: 'grams', code: 'more-than-there-is', message: 'This stage holds 1500 g.' }],
        }),
      }),
    )
    const { wrapper } = await mountView(ExchangeView, { tank: 2 })
    await choose(wrapper, 'stageId', 'bio media of Weir')
    await wrapper.get('[data-field="grams"] input').setValue('9000')
    await settled()

    expect(wrapper.get('[data-field="grams"]').text()).toContain('This stage holds 1500 g.')
  })
})

describe('the media of a tank', () => {
  it('tells what lies in it, what is seeded for it elsewhere, and its exchange', async () => {
    stubServer(answers({ 'GET /api/tanks/6/exchanges': [], 'GET /api/tanks/2/exchanges': [EXCHANGE] }))
    const donor = await mountView(TankMedia, { tank: 2 })
    expect(donor.wrapper.text()).toContain('bio media of Weir: 1 of 3 portions exchanged')
    expect(donor.wrapper.text()).toContain('Bag A')
    expect((await mountView(TankMedia, { tank: 6 })).wrapper.text()).toContain('Bag A')
    stubServer(answers({ 'GET /api/media': [], 'GET /api/tanks/6/exchanges': [] }))
    expect((await mountView(TankMedia, { tank: 6 })).wrapper.text()).toBe('')
  })
})
