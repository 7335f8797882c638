import { describe, expect, it } from 'vitest'
import { mountView, refusal, settled, stubServer } from '@/testing/mounting'
import type { Task } from './queries'
import TaskSettingDialog from './TaskSettingDialog.vue'

const TASK: Task = {
  id: 9,
  version: 3,
  action: 'RINSE',
  name: 'Rinse the pre-filter',
  mode: 'LEARN',
  graded: true,
  grades: [],
  withOpening: false,
  catalogue: {
    startDays: 14,
    leastDays: 5,
    mostDays: 30,
    minutes: 5,
    disturbance: 1,
    why: 'It fills first.',
    cleaned: { on: '2026-01-01', sureness: 'EXACT' },
  },
}

async function open(answer: unknown) {
  const asked = stubServer({ 'PUT /api/tasks/9': answer })
  const { wrapper } = await mountView(TaskSettingDialog, { task: undefined })
  await wrapper.setProps({ task: TASK })
  await settled()
  const dialog = () => document.querySelector<HTMLElement>('[role=dialog]')
  return { wrapper, asked, dialog }
}

async function choose(dialog: HTMLElement | null, mode: string) {
  dialog?.querySelector<HTMLInputElement>(`input[value="${mode}"]`)?.click()
  await settled()
}

async function save(dialog: HTMLElement | null) {
  dialog?.querySelector('form')?.dispatchEvent(new Event('submit', { cancelable: true }))
  await settled()
}

describe('adjusting a task', () => {
  it('says where it starts and how far learning may go', async () => {
    const { dialog } = await open({})

    expect(dialog()?.textContent).toContain('Starts at 14 days')
    expect(dialog()?.textContent).toContain('within 5 to 30 days')
  })

  it('fixes it to the days that were typed', async () => {
    const { asked, dialog, wrapper } = await open({})
    await choose(dialog(), 'FIXED')
    await save(dialog())

    expect(asked).toEqual([{ call: 'PUT /api/tasks/9', body: { version: 3, mode: 'FIXED', fixedDays: 14 } }])
    expect(wrapper.emitted('close')).toHaveLength(1)
  })

  it('sends no days when it is switched off', async () => {
    const { asked, dialog } = await open({})
    await choose(dialog(), 'OFF')
    await save(dialog())

    expect(asked[0]?.body).toEqual({ version: 3, mode: 'OFF' })
  })

  it('stays open with the reason when somebody was faster', async () => {
    const { dialog, wrapper } = await open(
      refusal(409, { detail: 'This task was changed meanwhile.', current: {} }),
    )
    await save(dialog())

    expect(dialog()?.textContent).toContain('changed meanwhile')
    expect(wrapper.emitted('close')).toBeUndefined()
  })
})
