import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import FindingPick from './FindingPick.vue'

describe('grading a stage', () => {
  it.each([
    ['1', 'CLEAN'],
    ['4', 'HEAVY'],
    ['5', 'CLOGGED'],
  ])('takes the key %s for %s', async (key, finding) => {
    const wrapper = mount(FindingPick, { props: { what: 'sock', modelValue: undefined } })

    await wrapper.get('fieldset').trigger('keydown', { key })

    expect(wrapper.emitted('update:modelValue')).toEqual([[finding]])
  })

  it('can be taken back: nobody looked', async () => {
    const wrapper = mount(FindingPick, { props: { what: 'sock', modelValue: 'LIGHT' } })

    await wrapper.get('.unseen').trigger('click')

    expect(wrapper.emitted('update:modelValue')).toEqual([[undefined]])
  })
})
