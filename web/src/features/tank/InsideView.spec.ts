import { describe, expect, it } from 'vitest'
import { choose, mountView, refusal, settled, stubServer, type Answers } from '@/testing/mounting'
import { WEIR } from '@/testing/filters'
import InsideView from './InsideView.vue'

const piece = (stage: number) => ({ stage, packing: 'PIECE' })
const FILTER = {
  ...WEIR,
  passport: {
    shutOff: 'NONE',
    chambers: [
      {
        name: '',
        access: 'SEALED',
        places: [
          { name: 'the bio media', kind: 'TRAY', emptiedInPlace: true, contents: [piece(1)] },
          { name: 'the coarse foam', kind: 'TRAY', emptiedInPlace: false, contents: [piece(0)] },
        ],
      },
    ],
  },
}

async function open(answers: Answers = {}) {
  const asked = stubServer({ 'GET /api/filters/4': FILTER, 'PUT /api/filters/4': FILTER, ...answers })
  const { wrapper, router } = await mountView(InsideView, { tank: 2, filter: 4 })
  const save = async () => {
    await wrapper.get('form').trigger('submit')
    await settled()
  }
  const sent = () => asked.findLast(({ call }) => call.startsWith('PUT'))?.body as { filter: typeof FILTER }
  return { wrapper, router, save, sent }
}

describe('inside a filter', () => {
  it('says whose word it is, and draws what is usual', async () => {
    const { wrapper } = await open()

    expect(wrapper.text()).toContain('Nobody has said yet what sits where.')
    expect(wrapper.get('[role=img]').attributes('aria-label')).toBe(
      '2 places from the top: the bio media, the coarse foam.',
    )
  })

  it('moves what lies in one place into another and sends the whole filter', async () => {
    const { wrapper, save, sent, router } = await open()

    await choose(wrapper, 'passport.chambers[0].places[0].put', 'coarse foam')
    await wrapper.get('[aria-label="Remove the coarse foam"]').trigger('click')
    await save()

    expect(sent().filter.passport.chambers[0]?.places.map((place) => place.contents)).toEqual([
      [piece(1), piece(0)],
    ])
    expect(sent().filter.stages.map((stage) => stage.id)).toEqual([1, 2])
    expect(sent().filter.stages[0]).not.toHaveProperty('name')
    expect(router.currentRoute.value.name).toBe('tank')
  })

  it('keeps what was typed when something has no place, and says so', async () => {
    const { wrapper, save } = await open({
      'PUT /api/filters/4': refusal(422, {
        errors: [
          {
            field: 'filter.passport.chambers',
            code: 'without-place',
            message: 'Say where the coarse foam sits.',
          },
        ],
      }),
    })

    await wrapper.get('[aria-label="Remove the coarse foam"]').trigger('click')
    expect(wrapper.get('.waits').text()).toBe('Without a place yet: coarse foam.')
    await save()

    expect(wrapper.findAll('.error').map((error) => error.text())).toContain(
      'Say where the coarse foam sits.',
    )
    expect(wrapper.findAll('.place')).not.toHaveLength(0)
  })

  it('stays where a practitioner would look twice', async () => {
    const { wrapper, save, router } = await open({
      'PUT /api/filters/4': {
        ...FILTER,
        doubts: ['Bio media lies loose. How wide are the holes of the top tray?'],
      },
    })

    await save()

    expect(wrapper.get('.doubts').text()).toContain('How wide are the holes')
    expect(router.currentRoute.value.name).not.toBe('tank')
  })

  it('takes a step in the keeper’s own words', async () => {
    const { wrapper, save, sent } = await open()

    await wrapper
      .findAll('button')
      .find((button) => button.text() === 'Add a step of your own')
      ?.trigger('click')
    await settled()
    await wrapper.get('[data-field="passport.ownSteps[0].words"] input').setValue('Hold the shelf.')
    await choose(wrapper, 'passport.ownSteps[0].moment', 'it is unplugged')
    await save()

    expect(sent().filter.passport).toMatchObject({
      ownSteps: [{ moment: 'STOP', before: false, words: 'Hold the shelf.' }],
    })
  })
})
