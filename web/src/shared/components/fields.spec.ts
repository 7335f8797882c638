import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import ChoiceRow from './ChoiceRow.vue'
import DayField from './DayField.vue'
import NumberField from './NumberField.vue'
import SelectField from './SelectField.vue'
import TextField from './TextField.vue'
import { SYSTEMS, useUnitsOf } from '../units'

const frame = { label: 'Volume', name: 'volume' }

describe('a field', () => {
  it('is named by its label and described by its help', async () => {
    const field = mount(NumberField, {
      props: { ...frame, modelValue: '', hint: 'Of water, not of glass', unit: 'L' },
    })
    await flushPromises()
    const input = field.get('input')

    expect(field.get('label').attributes('for')).toBe(input.attributes('id'))
    expect(field.get(`#${input.attributes('aria-describedby') ?? ''}`).text()).toBe('Of water, not of glass')
    expect(field.text()).toContain('L')
  })

  it('says what is wrong in place of its help, where the form can find it', () => {
    const field = mount(TextField, {
      props: { ...frame, modelValue: 'x', hint: 'Help', error: 'Too short.' },
    })

    expect(field.get('[data-field=volume] [role=alert]').text()).toBe('Too short.')
    expect(field.text()).not.toContain('Help')
    expect(field.get('input').attributes('aria-invalid')).toBe('true')
  })

  it('may keep its label for screen readers', () => {
    const field = mount(NumberField, { props: { ...frame, modelValue: '', bare: true } })

    expect(field.get('label').classes()).toContain('seen-by-readers')
  })
})

describe('a day', () => {
  const day = (props: object) =>
    mount(DayField, { props: { label: 'Done on', name: 'doneOn', modelValue: '2026-11-09', ...props } })

  it('is shown in the order of the site', () => {
    expect(day({}).get('input').element.value).toBe('9/11/2026')
  })

  it('is typed in that order too', async () => {
    const field = day({})

    await field.get('input').setValue('3/2/2026')
    await field.get('input').trigger('change')

    expect(field.emitted('update:modelValue')?.at(-1)).toEqual(['2026-02-03'])
  })

  it('stays what it was when what is typed is no day', async () => {
    const field = day({})

    await field.get('input').setValue('soon')
    await field.get('input').trigger('change')

    expect(field.emitted('update:modelValue') ?? []).toEqual([])
  })
})

describe('one of a few', () => {
  const CHOICES = [
    { value: 'FRESH', label: 'Fresh', hint: 'No salt' },
    { value: 'MARINE', label: 'Marine' },
  ]

  it('is a group of radio buttons under its legend', async () => {
    const row = mount(ChoiceRow<string>, {
      props: { legend: 'Water', name: 'water', choices: CHOICES, modelValue: 'FRESH' },
    })
    const group = row.get('[role=radiogroup]')

    expect(row.get(`#${group.attributes('aria-labelledby') ?? ''}`).text()).toBe('Water')
    expect(row.text()).toContain('No salt')

    await row.findAll('input')[1]?.setValue(true)

    expect(row.emitted('update:modelValue')).toEqual([['MARINE']])
  })
})

describe('one of many', () => {
  it('shows what is chosen, and asks for a choice when nothing is', async () => {
    const choices = [{ value: 1, label: 'Brook bench' }]
    const chosen = mount(SelectField<number>, { props: { ...frame, choices, modelValue: 1 } })
    const none = mount(SelectField<number>, { props: { ...frame, choices, modelValue: undefined } })

    await flushPromises()

    expect(chosen.text()).toContain('Brook bench')
    expect(none.text()).toContain('Choose one')
  })
})

describe('the calendar of a day', () => {
  it.each([
    ['MONDAY', 'Mon'],
    ['SUNDAY', 'Sun'],
  ] as const)('begins its weeks on %s where the site does', async (weekStart, first) => {
    useUnitsOf({ ...SYSTEMS.METRIC, weekStart })
    const field = mount(DayField, {
      props: { label: 'Done on', name: 'doneOn', modelValue: '2026-11-09' },
      attachTo: document.body,
    })
    await field.get('input').trigger('focus')
    await flushPromises()

    expect([...document.querySelectorAll('.el-date-table th')].map((day) => day.textContent.trim())[0]).toBe(
      first,
    )
    field.unmount()
    document.body.innerHTML = ''
    useUnitsOf(undefined)
  })
})
