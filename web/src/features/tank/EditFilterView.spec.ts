import { afterEach, describe, expect, it } from 'vitest'
import {
  agree,
  choose,
  mountView,
  press,
  refusal,
  settled,
  stubServer,
  type Answers,
} from '@/testing/mounting'
import { WEIR } from '@/testing/filters'
import EditFilterView from './EditFilterView.vue'

const FILTER = { ...WEIR, rating: { flowLph: 900 } }
const TEMPLATES = [
  { kind: 'CANISTER', words: 'canister', stages: [{ kind: 'COARSE_FOAM', make: 'WASHABLE' }] },
]
const PUT = 'PUT /api/filters/4'
const CLEANED = 'PUT /api/filters/4/last-cleaned'
const ADD = 'POST /api/tanks/2/filters'

async function open(filter: number | undefined, answers: Answers = {}) {
  const asked = stubServer({
    'GET /api/session': { name: 'Marit', role: 'KEEPER', demoAccounts: [] },
    'GET /api/filter-templates': TEMPLATES,
    'GET /api/filters': [FILTER],
    'GET /api/filters/4': FILTER,
    [PUT]: FILTER,
    [CLEANED]: FILTER,
    [ADD]: { ...FILTER, id: 5 },
    ...answers,
  })
  const { wrapper, router } = await mountView(EditFilterView, { tank: 2, filter })
  const type = async (field: string, value: string) => {
    await wrapper.get(`[data-field="${field}"] input`).setValue(value)
    await settled()
  }
  const save = async () => {
    await wrapper.get('form').trigger('submit')
    await settled()
  }
  const sent = () => asked.filter(({ call }) => !call.startsWith('GET'))
  return { wrapper, router, type, save, sent }
}

describe('editing a filter', () => {
  afterEach(() => {
    document.body.innerHTML = ''
  })

  it('sends it whole with the version that was read, and leaves its age alone', async () => {
    const { router, type, save, sent } = await open(4)

    await type('name', 'Weir, left')
    await save()

    expect(sent().map(({ call }) => call)).toEqual([PUT])
    expect(sent()[0]?.body).toMatchObject({
      version: 3,
      filter: { name: 'Weir, left', rating: { flowLph: 900 }, stages: [{ id: 1 }, { id: 2 }] },
    })
    expect(router.currentRoute.value.name).toBe('tank')
  })

  it('that nobody knows the age of is told so apart from the rest', async () => {
    const { wrapper, save, sent } = await open(4)

    await wrapper.get('[data-field=cleaned] input[value=UNKNOWN]').setValue(true)
    await save()

    expect(sent().map(({ call }) => call)).toEqual([PUT, CLEANED])
    expect(sent()[1]?.body).toEqual({ sureness: 'UNKNOWN' })
  })

  it('asks for the day where one is said to be known', async () => {
    const { wrapper, save, sent } = await open(4, {
      'GET /api/filters/4': { ...FILTER, cleaned: { sureness: 'UNKNOWN' } },
    })

    await wrapper.get('[data-field=cleaned] input[value=ABOUT]').setValue(true)
    await settled()
    await save()

    expect(sent()).toEqual([])
    expect(wrapper.get('[data-field=careFrom] .error').text()).toBe('Which day was it?')
  })

  it('that somebody else changed meanwhile keeps mine on the page, and takes theirs only when told', async () => {
    const theirs = { ...FILTER, version: 4, name: 'Weir of the hall' }
    const { wrapper, type, save } = await open(4, {
      [PUT]: refusal(409, { code: 'stale', detail: 'Somebody else changed it.', current: theirs }),
    })
    await type('name', 'Weir, left')
    await save()
    const name = () => wrapper.get<HTMLInputElement>('[data-field=name] input').element.value

    expect(wrapper.get('.stale').text()).toContain('Weir of the hall')
    expect(wrapper.get('.stale').text()).toContain('coarse foam → bio media')
    expect(name()).toBe('Weir, left')
    await press('Use the saved version')

    expect(name()).toBe('Weir of the hall')
    expect(wrapper.find('.stale').exists()).toBe(false)
  })

  it('is taken out once that was asked; its log stays, and it can be put back', async () => {
    const { router, sent } = await open(4, {
      'DELETE /api/filters/4': 204,
      'POST /api/filters/4/restore': FILTER,
    })

    await press('Remove this filter…')
    expect(sent()).toEqual([])
    await agree()
    expect(router.currentRoute.value.name).toBe('tank')
    await press('Undo')

    expect(sent().map(({ call }) => call)).toEqual(['DELETE /api/filters/4', 'POST /api/filters/4/restore'])
  })
})

describe('a new filter', () => {
  it('starts from the template of its kind', async () => {
    const { type, save, sent } = await open(undefined)

    await type('name', 'Second')
    await save()

    expect(sent()).toMatchObject([
      {
        call: ADD,
        body: { name: 'Second', kind: 'CANISTER', stages: [{ kind: 'COARSE_FOAM', make: 'WASHABLE' }] },
      },
    ])
  })

  it('built like another has its path, and neither its name nor its age', async () => {
    const { wrapper, type, save, sent } = await open(undefined)

    await choose(wrapper, 'like', 'Weir')
    expect(wrapper.get<HTMLInputElement>('[data-field=name] input').element.value).toBe('')
    await type('name', 'Second')
    await save()

    const filter = sent()[0]?.body as { stages: { id?: number; kind: string }[]; careSureness: string }
    expect(filter.stages.map(({ kind }) => kind)).toEqual(['COARSE_FOAM', 'BIO_MEDIA'])
    expect(filter.stages.map(({ id }) => id)).toEqual([undefined, undefined])
    expect(filter.careSureness).toBe('EXACT')
  })

  it('shows a refusal at its field and is still there', async () => {
    const errors = [{ field: 'name', code: 'taken', message: 'Another filter of this tank has this name.' }]
    const { wrapper, router, type, save } = await open(undefined, { [ADD]: refusal(422, { errors }) })

    await type('name', 'Weir')
    await save()

    expect(wrapper.get('[data-field=name] .error').text()).toBe('Another filter of this tank has this name.')
    expect(wrapper.get<HTMLInputElement>('[data-field=name] input').element.value).toBe('Weir')
    expect(router.currentRoute.value.name).not.toBe('tank')
  })
})
