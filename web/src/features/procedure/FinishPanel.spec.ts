import { computed, ref } from 'vue'
import { afterEach, describe, expect, it } from 'vitest'
import { mountView, press, refusal, settled, stubServer, type Answers } from '@/testing/mounting'
import FinishPanel from './FinishPanel.vue'
import { progressOf } from './progress'
import type { GuidedEvent } from './queries'

const pad = { name: 'fine pad', spent: true }
const step = (id: string, materials: { name: string; spent: boolean }[] = []) => ({
  id,
  text: `Do ${id}`,
  reason: '',
  cautions: [],
  materials,
  effects: [],
})
const STEPS = [
  step('first-pad', [pad]),
  step('second-pad', [pad]),
  step('rinse', [{ name: 'bucket', spent: false }]),
]

const event = (kind: string, of: string, value = '') =>
  ({ id: `${kind} ${of}`, kind, step: of, value, happenedAt: '2026-06-01T10:00:00Z' }) as GuidedEvent

const SAVED = {
  service: { id: 's', tankId: 2, doneOn: '2026-06-01', doneBy: 'Marit', minutes: 31, tasks: [], flows: [] },
  moved: [],
  twins: [],
  questions: [],
}
const END = 'POST /api/guided-services/s/finish'

/** The end of a service of which this has happened; what has not been sent yet is sent when it is asked to. */
async function open({
  happened,
  unsent = 0,
  reached = true,
  off = false,
  answers = {},
}: {
  happened: GuidedEvent[]
  unsent?: number
  reached?: boolean
  off?: boolean
  answers?: Answers
}) {
  const asked = stubServer({
    'GET /api/session': { name: 'Marit', role: 'KEEPER', demoAccounts: [] },
    'GET /api/tanks/2/watches': [],
    [END]: SAVED,
    'DELETE /api/guided-services/s': 204,
    ...answers,
  })
  const waiting = ref(unsent)
  let forgotten = false
  const guided = {
    view: ref({ id: 's', place: { tankId: 2, filterId: 4 }, steps: STEPS, then: [], events: happened }),
    progress: computed(() => progressOf(STEPS as never, happened)),
    late: ref([]),
    waiting,
    flush: () => {
      if (reached) waiting.value = 0
      return Promise.resolve()
    },
    forget: () => {
      forgotten = true
    },
  }
  const { wrapper, router } = await mountView(FinishPanel, { guided, off, early: false })
  const save = async () => {
    await wrapper.get('form').trigger('submit')
    await settled()
  }
  const sent = () => asked.filter(({ call }) => !call.startsWith('GET'))
  return { wrapper, router, save, sent, forgotten: () => forgotten }
}

const BOTH_PADS = [event('DONE', 'first-pad'), event('DONE', 'second-pad'), event('DONE', 'rinse')]

describe('the end of a guided service', () => {
  afterEach(() => {
    document.body.innerHTML = ''
  })

  it('counts what was used up by steps that were done, and sends what the keeper says it was', async () => {
    const { wrapper, save, sent } = await open({ happened: BOTH_PADS })
    expect(wrapper.get('fieldset').text()).toContain('fine pad')
    expect(wrapper.get('fieldset').text()).not.toContain('bucket')
    expect(wrapper.get('fieldset .num').text()).toBe('2')

    await wrapper.get('[aria-label="One fine pad less"]').trigger('click')
    await save()

    expect(sent()).toMatchObject([{ call: END, body: { parts: [{ thing: 'fine pad', quantity: 1 }] } }])
  })

  it('counts none for a step that was skipped, and says which and why', async () => {
    const { wrapper, save, sent } = await open({
      happened: [
        event('DONE', 'first-pad'),
        event('SKIPPED', 'second-pad', 'None left'),
        event('DONE', 'rinse'),
      ],
    })

    expect(wrapper.text()).toContain('Do second-pad')
    expect(wrapper.text()).toContain('None left')
    await save()

    expect(sent()).toMatchObject([{ body: { parts: [{ thing: 'fine pad', quantity: 1 }] } }])
  })

  it('sends what was ticked first, and keeps the service here until it is saved', async () => {
    const there = await open({ happened: BOTH_PADS, unsent: 2 })
    await there.save()
    expect(there.sent().map(({ call }) => call)).toEqual([END])
    expect(there.forgotten()).toBe(true)
    document.body.innerHTML = ''

    const away = await open({ happened: BOTH_PADS, unsent: 2, reached: false })
    await away.save()
    expect(away.sent()).toEqual([])
    expect(away.wrapper.get('[role=alert]').text()).not.toBe('')
    expect(away.forgotten()).toBe(false)
  })

  it('keeps note and counts when the server refuses, and says why at the field', async () => {
    const errors = [{ field: 'note', code: 'size', message: 'At most 2000 characters.' }]
    const { wrapper, save, forgotten } = await open({
      happened: BOTH_PADS,
      answers: { [END]: refusal(422, { errors }) },
    })

    await wrapper.get('[data-field=note] textarea').setValue('A long tale.')
    await save()

    expect(wrapper.get('[data-field=note] .error').text()).toBe('At most 2000 characters.')
    expect(wrapper.get<HTMLTextAreaElement>('[data-field=note] textarea').element.value).toBe('A long tale.')
    expect(forgotten()).toBe(false)
  })

  it('asks why the filter stays off, only where it does', async () => {
    expect((await open({ happened: BOTH_PADS })).wrapper.find('[data-field=leftOffReason]').exists()).toBe(
      false,
    )

    const { wrapper, save, sent } = await open({ happened: BOTH_PADS, off: true })
    await wrapper.get('[data-field=leftOffReason] input').setValue('A seal is on its way.')
    await save()

    expect(sent()).toMatchObject([{ body: { leftOffReason: 'A seal is on its way.' } }])
  })

  it('may be discarded only where nothing was done', async () => {
    expect((await open({ happened: BOTH_PADS })).wrapper.text()).not.toContain('Discard')
    document.body.innerHTML = ''

    const { router, sent, forgotten } = await open({ happened: [] })
    await press('Discard')

    expect(sent().map(({ call }) => call)).toEqual(['DELETE /api/guided-services/s'])
    expect(forgotten()).toBe(true)
    expect(router.currentRoute.value.name).toBe('rounds')
  })
})
