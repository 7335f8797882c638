import { describe, expect, it } from 'vitest'
import { mountView, refusal, settled, stubServer, type Answers } from '@/testing/mounting'
import SetUpView from './SetUpView.vue'

const STEP = {
  id: 'count:filter',
  text: 'Lay everything out.',
  reason: '',
  cautions: [],
  materials: [],
  effects: [],
}
const SET_UP = {
  filterName: 'Weir',
  steps: [STEP],
  carry: ['Scissors'],
  minutes: 37,
  rinseWith: '',
  then: [],
  warnings: [],
  held: [],
  tasks: [],
}

async function open(answers: Answers = {}) {
  const asked = stubServer({
    'GET /api/filters/4/set-up': SET_UP,
    'GET /api/tanks/2': { tank: { id: 2, name: 'Brook' } },
    ...answers,
  })
  const { wrapper } = await mountView(SetUpView, { tank: 2, filter: 4 })
  const begin = async () => {
    await wrapper
      .findAll('button')
      .find((button) => button.text() === 'Start')
      ?.trigger('click')
    await settled()
  }
  return { wrapper, asked, begin }
}

describe('a set-up', () => {
  it('tells what it takes before it begins', async () => {
    const { wrapper } = await open()

    expect(wrapper.get('h1').text()).toBe('Set up Weir')
    expect(wrapper.text()).toContain('About 37 minutes, 1 step.')
    expect(wrapper.text()).toContain('Scissors')
  })

  it('begins without tasks, as a set-up', async () => {
    const { asked, begin } = await open()

    await begin()

    const start = asked.find(({ call }) => call.startsWith('PUT'))
    expect(start?.body).toEqual({ filterId: 4, tasks: [], chores: [], occasion: 'SET_UP' })
    expect(start?.call).toMatch(/guided-services/)
  })

  it('says why it cannot begin', async () => {
    const { wrapper, begin } = await open({
      'GET /api/filters/4/set-up': SET_UP,
    })

    await begin()

    expect(wrapper.get('[role=alert]').text()).not.toBe('')
  })

  it('offers to try again when the steps did not come', async () => {
    const { wrapper } = await open({
      'GET /api/filters/4/set-up': refusal(503, { detail: 'The database rests.' }),
    })

    expect(wrapper.get('[role=alert]').text()).toContain('The database rests.')
  })
})
