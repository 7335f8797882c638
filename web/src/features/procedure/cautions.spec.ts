import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import CautionNote from '@/shared/components/CautionNote.vue'
import { toldBefore } from './cautions'

const UNPLUG = 'Unplug before hands go in. The socket needs a residual-current device.'
const STEPS = [
  { id: 'a', cautions: [] },
  { id: 'b', cautions: [UNPLUG] },
  { id: 'c', cautions: [UNPLUG] },
]

describe('a caution', () => {
  it('is told in full where it stands first, and was told before in each later step', () => {
    expect(STEPS.map(({ id }) => toldBefore(STEPS, id, UNPLUG))).toEqual([false, false, true])
    expect(toldBefore(STEPS, 'c', 'Another')).toBe(false)
  })

  it('is never shortened the first time', () => {
    const note = mount(CautionNote, { props: { text: UNPLUG, again: false } })

    expect(note.text()).toBe(UNPLUG)
    expect(note.find('details').exists()).toBe(false)
  })

  it('is its first sentence the second time, with the rest behind it', () => {
    const note = mount(CautionNote, { props: { text: UNPLUG, again: true } })

    expect(note.get('summary').text()).toBe('Unplug before hands go in.')
    expect(note.text()).toContain('residual-current')
  })

  it('of one sentence stays as it is', () => {
    expect(
      mount(CautionNote, { props: { text: 'Wipe as you go.', again: true } })
        .find('details')
        .exists(),
    ).toBe(false)
  })
})
