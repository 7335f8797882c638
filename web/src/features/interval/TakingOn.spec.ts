import { mount, RouterLinkStub } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Forecast } from './queries'
import TakingOn from './TakingOn.vue'

const forecast = (name: string, ideal: string, basis: Forecast['basis'] = 'TAKEN_ON') =>
  ({
    subject: { name, taskId: name.length },
    window: { earliest: ideal, ideal, latest: ideal },
    basis,
  }) as Forecast

const open = (forecasts: Forecast[]) =>
  mount(TakingOn, {
    props: { tank: 2, filter: { id: 3, name: 'Weir' }, forecasts, today: '2026-06-01' },
    global: { stubs: { RouterLink: RouterLinkStub } },
  })

describe('taking a filter on', () => {
  it('shows the work of each visit, in the order of days', () => {
    const wrapper = open([
      forecast('Dip bio media', '2026-06-26'),
      forecast('Rinse the pre-filter', '2026-06-01'),
      forecast('Open canister Weir', '2026-06-11'),
      forecast('Clear the strainer', '2026-06-01'),
      forecast('Check cords and drip loop of Weir', '2026-06-03', 'AGE'),
    ])

    expect(wrapper.getComponent(RouterLinkStub).props('to')).toEqual({
      name: 'look-over',
      params: { tank: 2, filter: 3 },
    })
    expect(wrapper.get('h3').text()).toBe('Taking Weir on, over 4 weeks')
    expect(wrapper.findAll('li').map((visit) => visit.text().replace(/\s+/g, ' '))).toEqual([
      'Now rinse the pre-filter, clear the strainer',
      'about 11 Jun open canister Weir',
      'about 26 Jun dip bio media',
    ])
  })

  it('is silent where nothing has to be spread', () => {
    expect(
      open([forecast('Rinse the pre-filter', '2026-06-01')])
        .find('section')
        .exists(),
    ).toBe(false)
    expect(
      open([forecast('Dip bio media', '2026-06-26', 'LEARNED')])
        .find('section')
        .exists(),
    ).toBe(false)
  })
})
