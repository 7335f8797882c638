import { describe, expect, it, vi } from 'vitest'
import { mountView, refusal, settled, stubServer } from '@/testing/mounting'
import StoreItemView from './StoreItemView.vue'
import StoresView from './StoresView.vue'
import { emptyForm, fitWords, inShort, lastsWords, lineOf, toItem } from './stores'
import type { StockItem, Stores } from './queries'

const NOW = '2026-06-01'

function item(
  name: string,
  shelf: { ready: number; dirty?: number; runsOut?: string; orderBy?: string } | undefined,
  more: Partial<StockItem['item']> = {},
): StockItem {
  const reorderAt = 3
  return {
    id: 4,
    version: 2,
    item: { name, unit: 'PIECE', turned: false, amountPerUse: 1, reorderAt, leadDays: 10, ...more },
    shelf: shelf && { ready: shelf.ready, dirty: shelf.dirty ?? 0, unsure: false },
    outlook: shelf && {
      standing: shelf.ready <= 0 ? 'OUT' : shelf.ready < reorderAt ? 'LOW' : 'ENOUGH',
      runsOut: shelf.runsOut,
      orderBy: shelf.orderBy,
    },
    use: { tanks: ['Brook bench'], aYear: 12, next: '2026-06-10' },
    suggestedReorderAt: 2,
    fits: [],
  }
}

const PADS = item('Fine pad', { ready: 2, runsOut: '2026-06-20', orderBy: '2026-06-10' })
const FOAM = item('New foam', { ready: 5, runsOut: '2027-01-04', orderBy: '2026-12-25' })
const SOCKS = item('Clean sock', { ready: 1, dirty: 4, runsOut: '2026-06-05' }, { turned: true })
const STORES: Stores = {
  items: [PADS, SOCKS, FOAM],
  notKept: [{ name: 'Carbon', material: 'CARBON', tanks: ['Brook bench'], usesAYear: 12, turned: false }],
  costAYear: 44.5,
}

describe('what the stores come to', () => {
  it('says what to order, what to wash and what comes next', () => {
    expect(inShort(STORES, NOW)).toBe(
      'To order: Fine pad. To wash: Clean sock. Of the rest, New foam runs out first, on 4 Jan.',
    )
    expect(inShort({ ...STORES, items: [] }, NOW)).toBe('Nothing to order.')
  })

  it('tells how long a thing lasts', () => {
    expect(lastsWords(PADS, NOW)).toBe('lasts until 20 Jun, order by 10 Jun')
    expect(lastsWords(SOCKS, NOW)).toBe('clean ones last until 5 Jun')
    expect(lastsWords(item('Foam', { ready: 9 }), NOW)).toBe('lasts more than two years')
    expect(lastsWords(item('Foam', undefined), NOW)).toContain('Count it once')
  })

  it('tells which filters a kit fits, and what differs in size', () => {
    const kit = (fits: StockItem['fits']) =>
      fitWords({
        ...item('Service kit', { ready: 1 }, { kit: [{ name: 'Seal rings, 60 mm', count: 1 }] }),
        fits,
      })
    const whole = { filter: 'Weir', tank: 'Brook bench', lacks: [] }
    const partly = { filter: 'Creek', tank: 'Mangrove edge', lacks: ['Seal rings, 60 mm'] }

    expect(kit([whole, partly])).toBe('Fits Weir. Creek uses all of it but seal rings, 60 mm.')
    expect(
      kit([
        partly,
        { ...partly, filter: 'Lagoon' },
        { ...partly, filter: 'Ripple', lacks: ['Rings', 'Grease'] },
      ]),
    ).toBe(
      'Creek and Lagoon use all of it but seal rings, 60 mm. Ripple uses all of it but rings and grease.',
    )
    expect(kit([whole, { ...whole, filter: 'Creek' }])).toBe('Fits Weir and Creek.')
    expect(kit([])).toBe('No filter here uses its parts in these sizes.')
  })

  it('draws a line of half a year with the last day to order', () => {
    // 19 and 9 of 182 days
    expect(lineOf(PADS, NOW)?.end).toBeCloseTo(19 / 182)
    expect(lineOf(PADS, NOW)?.order).toBeCloseTo(9 / 182)
    expect(lineOf(FOAM, NOW)).toEqual({ end: 1, order: undefined })
  })

  it('refuses what is no number at its field', () => {
    const { errors } = toItem({ ...emptyForm(), reorderAt: 'few', leadDays: '1.5', price: 'cheap' })

    expect(Object.keys(errors).sort()).toEqual(['leadDays', 'price', 'reorderAt'])
  })
})

async function open(answers: Record<string, unknown> = {}) {
  const asked = stubServer({
    'GET /api/session': { name: 'Marit', role: 'KEEPER', demoAccounts: [] },
    'GET /api/stores': STORES,
    'GET /api/stores/items/4/moves': [],
    ...answers,
  })
  return { ...(await mountView(StoresView, {})), asked }
}

describe('the stores', () => {
  it('logs what was bought with one number and one press', async () => {
    const { wrapper, asked } = await open()
    const row = wrapper.get('[aria-label="Fine pad"]')
    await row.get('input').setValue('6')

    await row.get('form').trigger('submit')
    await settled()

    const sent = asked.find((one) => one.call.startsWith('PUT /api/stores/moves/'))
    expect(sent?.body).toMatchObject({ itemId: 4, kind: 'BOUGHT', amount: 6 })
  })

  it('opens a kit with one press, and closes it again', async () => {
    const kit = { ...item('Service kit', { ready: 2 }, { kit: [{ name: 'Impeller set', count: 1 }] }), id: 9 }
    const asked = stubServer({
      'GET /api/stores': { ...STORES, items: [kit] },
    })
    const { wrapper } = await mountView(StoresView)
    vi.stubGlobal('crypto', { randomUUID: () => 'k' })

    await wrapper
      .findAll('button')
      .find((button) => button.text() === 'Open one')
      ?.trigger('click')
    await settled()

    const opening = asked.find(({ call }) => call === 'PUT /api/stores/openings/k')
    expect(opening?.body).toMatchObject({ itemId: 9 })
    vi.unstubAllGlobals()
  })

  it('asks for a count where more was used than was there', async () => {
    const short = { ...PADS, shelf: { ready: 0, dirty: 0, unsure: true } }
    stubServer({ 'GET /api/stores': { ...STORES, items: [short] } })

    const { wrapper } = await mountView(StoresView)

    expect(wrapper.get('article').text()).toContain('More was used than was there: count it')
  })

  it('sends what a kit holds, and names a count that is no number', () => {
    const form = { ...emptyForm(), name: 'Kit', kit: [{ key: 1, name: ' Impeller set ', count: '1,5' }] }

    expect(toItem(form).item.kit).toEqual([{ name: 'Impeller set', count: 1.5 }])
    expect(toItem({ ...form, kit: [{ key: 1, name: 'Ring', count: 'some' }] }).errors).toEqual({
      'kit[0].count': 'How many?',
    })
    expect(toItem(emptyForm()).item.kit).toBeUndefined()
  })

  it('asks how many before it sends anything', async () => {
    const { wrapper, asked } = await open()

    await wrapper.get('[aria-label="Fine pad"] form').trigger('submit')
    await settled()

    expect(wrapper.get('[role=alert]').text()).toBe('How many?')
    expect(asked.some((one) => one.call.startsWith('PUT'))).toBe(false)
  })

  it('keeps what was typed when a name is taken', async () => {
    stubServer({
      'GET /api/session': { name: 'Marit', role: 'KEEPER', demoAccounts: [] },
      'GET /api/stores': STORES,
      'POST /api/stores/items': refusal(422, {
        errors: [{ field: 'name', code: 'taken', message: 'This is in the stores already.' }],
      }),
    })
    const { wrapper } = await mountView(StoreItemView, { thing: 'Carbon' })
    await vi.waitFor(() => {
      expect(wrapper.find('form').exists()).toBe(true)
    })

    await wrapper.get('form').trigger('submit')
    await settled()

    expect(wrapper.get('[data-field=name] .error').text()).toBe('This is in the stores already.')
    expect(wrapper.get<HTMLInputElement>('[data-field=name] input').element.value).toBe('Carbon')
  })
})
