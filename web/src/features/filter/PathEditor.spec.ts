import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { choose } from '@/testing/mounting'
import { stageOf, type StageForm } from './form'
import PathEditor from './PathEditor.vue'

function editor(stages: StageForm[]) {
  const wrapper = mount(PathEditor, {
    props: {
      errors: {},
      modelValue: stages,
      'onUpdate:modelValue': (changed: StageForm[]) => wrapper.setProps({ modelValue: changed }),
    },
    attachTo: document.body,
  })
  const kinds = () => wrapper.findAll('li .name').map((name) => name.text())
  return { wrapper, kinds }
}

describe('the water path editor', () => {
  it('moves a stage by its button and keeps the focus on it', async () => {
    const { wrapper, kinds } = editor([
      stageOf('STRAINER', 'WASHABLE'),
      stageOf('SOCK', 'WASHABLE'),
      stageOf('HOSES', 'WASHABLE'),
    ])

    await wrapper.get('[aria-label="Move Strainer down"]').trigger('click')

    expect(kinds()).toEqual(['Sock', 'Strainer', 'Hoses'])
    expect(document.activeElement?.getAttribute('aria-label')).toBe('Move Strainer down')
    expect(wrapper.get('[role=status]').text()).toBe('Strainer is now stage 2 of 3.')
  })

  it('adds a stage at the end, disposable where that is usual', async () => {
    const { wrapper, kinds } = editor([stageOf('SOCK', 'WASHABLE')])

    await choose(wrapper, 'adding', 'Floss')
    await wrapper.get('.add button').trigger('click')

    expect(kinds()).toEqual(['Sock', 'Floss'])
    expect(wrapper.findAll('li')[1]?.text()).toContain('disposable')
  })

  it('removes a stage', async () => {
    const { wrapper, kinds } = editor([stageOf('SOCK', 'WASHABLE'), stageOf('HOSES', 'WASHABLE')])

    await wrapper.get('[aria-label="Remove Sock"]').trigger('click')

    expect(kinds()).toEqual(['Hoses'])
  })
})
