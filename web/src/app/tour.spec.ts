import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { PLACES } from './places'
import { TOUR } from './tour'
import TourAround from './TourAround.vue'

/** A screen on which these places are seen, and others are there but hidden. */
function screen(seen: string[], hidden: string[] = []) {
  for (const place of [...seen, ...hidden]) {
    const link = document.createElement('a')
    link.dataset.tour = place
    link.getClientRects = () => (seen.includes(place) ? [{}] : []) as unknown as DOMRectList
    document.body.append(link)
  }
}

const open = () =>
  mount(TourAround, {
    props: { modelValue: true },
    global: {
      stubs: {
        ElTour: { template: '<ol><slot /></ol>' },
        ElTourStep: { props: ['target', 'title', 'description'], template: '<li>{{ title }}</li>' },
      },
    },
  })

describe('the walk past the places', () => {
  it('has a sentence for every place', () => {
    const told = TOUR.map(({ place }) => place)
    expect(told).toEqual(expect.arrayContaining([...PLACES.map(({ name }) => name), 'log', 'more']))
    expect(new Set(told).size).toBe(told.length)
  })

  it('stops only at what this screen shows', async () => {
    screen(['rounds', 'tanks', 'log', 'water', 'more'], ['plan', 'stores'])
    const wrapper = open()
    await wrapper.vm.$nextTick()

    expect(wrapper.findAll('li').map((stop) => stop.text())).toEqual([
      'Rounds',
      'Tanks',
      'Water',
      'Log',
      'More',
    ])
  })

  it('shows nothing where there are no places', () => {
    expect(open().find('li').exists()).toBe(false)
  })
})
