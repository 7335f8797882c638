import { describe, expect, it } from 'vitest'
import { ref } from 'vue'
import { mountView, settled, stubServer } from '@/testing/mounting'
import AnimalPicks from './AnimalPicks.vue'
import TankAdvice from './TankAdvice.vue'
import TankFacts from './TankFacts.vue'
import { blankTank, toInput } from './form'

async function picks(stocking: 'NORMAL' | 'OVER') {
  const form = ref({ ...blankTank(), running: 'YEARS' as const, netVolumeL: '200' })
  form.value.setting.stocking = stocking
  const { wrapper } = await mountView(AnimalPicks, {
    modelValue: form.value,
  })
  return { form, wrapper, tick: (value: string) => wrapper.get(`input[value=${value}]`).trigger('click') }
}

describe('animals that ask for more than most do', () => {
  it('are sent with the tank', async () => {
    const { form, tick, wrapper } = await picks('NORMAL')

    await tick('SHRIMP')
    await tick('FRY')

    expect(toInput(form.value).input.setting.animals).toEqual(['SHRIMP', 'FRY'])
    expect(form.value.setting.stocking).toBe('NORMAL')
    expect(wrapper.find('[role=status]').exists()).toBe(false)
  })

  it('raise the stocking where they are turtles, and say so', async () => {
    const { form, tick, wrapper } = await picks('NORMAL')

    await tick('TURTLES')

    expect(form.value.setting.stocking).toBe('OVER')
    expect(wrapper.get('[role=status]').text()).toContain('Stocking is set to over')
  })

  it('leave a stocking alone that counts them already, or that was set back', async () => {
    const { form, tick, wrapper } = await picks('OVER')
    await tick('TURTLES')
    expect(wrapper.find('[role=status]').exists()).toBe(false)

    form.value.setting.stocking = 'HEAVY'
    await tick('SHRIMP')
    expect(form.value.setting.stocking).toBe('HEAVY')
  })

  it('stand among the facts of their tank', async () => {
    const { input } = toInput({ ...blankTank(), running: 'YEARS', netVolumeL: '60' })
    input.setting.animals = ['AMPHIBIANS']
    const { wrapper } = await mountView(TankFacts, { tank: input })

    expect(wrapper.text()).toContain('newts, frogs, axolotls')
  })

  it('bring advice where a filter does not suit them, and none where nothing is to say', async () => {
    const answers = { 'GET /api/tanks/3/advice': ['Shrimp die of copper.'] as string[] }
    stubServer(answers)
    const { wrapper } = await mountView(TankAdvice, { tank: 3 })
    await settled()
    expect(wrapper.findAll('li').map((one) => one.text())).toEqual(['Shrimp die of copper.'])

    stubServer({ 'GET /api/tanks/3/advice': [] })
    const other = await mountView(TankAdvice, { tank: 3 })
    await settled()
    expect(other.wrapper.find('section').exists()).toBe(false)
  })
})
