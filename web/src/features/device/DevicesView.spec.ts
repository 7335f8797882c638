import { QueryClient } from '@tanstack/vue-query'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { mountView, settled, stubServer } from '@/testing/mounting'
import AlertBar from './AlertBar.vue'
import AlertWatch from './AlertWatch.vue'
import DevicesView from './DevicesView.vue'
import TankDevices from './TankDevices.vue'

const SESSION = {
  name: 'Ada',
  siteName: 'Tern House',
  role: 'KEEPER',
  needsSetup: false,
  demoAccounts: [],
  places: [],
}
const PLUG = {
  id: 2,
  kind: 'PLUG',
  name: 'Plug of Weir',
  tankId: 4,
  filterId: 6,
  at: 'Weir',
  fittedOn: '2026-05-01',
  quietMinutes: 60,
  heardAt: '2026-06-01T11:59:00Z',
  value: 0,
  valueAt: '2026-06-01T11:59:00Z',
  usual: 18,
  amissSince: '2026-06-01T11:20:00Z',
  alarms: ['FILTER_OFF_LONG'],
}
const OFF = {
  id: 9,
  alarm: 'FILTER_OFF_LONG',
  deviceId: 2,
  tankId: 4,
  filterId: 6,
  what: 'Weir has been off for 39 minutes.',
  then: 'Start it again soon.',
  danger: true,
  beganAt: '2026-06-01T11:20:00Z',
}
const LEAK = { ...OFF, id: 10, alarm: 'LEAK', what: 'Water at Under the stand.', filterId: undefined }
const PRESS = {
  ...OFF,
  id: 11,
  alarm: 'PRESSED',
  what: 'Weir: Pre-filter, logged by its button.',
  then: '',
  danger: false,
  endedAt: '2026-06-01T11:20:00Z',
  serviceId: '8e2f6a53-2a0f-4b6e-9a35-3a8a0a9f1f10',
}

const answers = (alerts: unknown[], devices: unknown[] = [PLUG]) => ({
  'GET /api/session': SESSION,
  'GET /api/devices': devices,
  'GET /api/alerts': { watched: devices.length > 0, alerts },
  'GET /api/stand-ins': { present: false, amiss: [], speed: 1 },
  'GET /api/alert-mail': {},
  'GET /api/tanks': [],
  'GET /api/filters': [],
  'POST /api/devices/2/switch': 202,
  'POST /api/stand-ins': 204,
  'PUT /api/alerts/9/seen': 204,
  'PUT /api/alerts/9/quiet': 204,
  'DELETE /api/alerts/11/service': 204,
})

const button = (name: string) =>
  [...document.querySelectorAll('button')].find((one) => one.textContent.trim().startsWith(name))

describe('devices', () => {
  beforeEach(() => {
    document.body.innerHTML = ''
    localStorage.clear()
    vi.stubGlobal(
      'EventSource',
      class extends EventTarget {
        close() {}
      },
    )
  })

  it('say what they read, and a first one is invited where there is none', async () => {
    stubServer(answers([]))
    const { wrapper } = await mountView(DevicesView)
    expect(wrapper.text()).toContain('Plug of Weir')
    expect(wrapper.text()).toContain('0 W')
    expect(wrapper.text()).toContain('Nothing is amiss.')

    document.body.innerHTML = ''
    localStorage.clear()
    stubServer(answers([], []))
    expect((await mountView(DevicesView)).wrapper.text()).toContain('No device speaks here yet')
  })

  it('go on only when everything at the tank has been said', async () => {
    const asked = stubServer(answers([OFF]))
    await mountView(DevicesView)
    button('Switch it on')?.click()
    await settled()
    const on = [...document.querySelectorAll<HTMLButtonElement>('.el-dialog button')].find(
      (one) => one.textContent.trim() === 'Switch on',
    )
    const words = [...document.querySelectorAll<HTMLInputElement>('.el-dialog input[type=checkbox]')]
    expect(words).toHaveLength(3)
    for (const word of words) {
      expect(on?.disabled).toBe(true)
      word.click()
      await settled()
    }
    on?.click()
    await settled()

    expect(asked.find(({ call }) => call === 'POST /api/devices/2/switch')?.body).toEqual({
      on: true,
      confirmed: true,
    })
  })

  it('are put out of order by hand in the demo, at the speed one likes', async () => {
    const asked = stubServer({
      ...answers([]),
      'GET /api/stand-ins': { present: true, amiss: ['LEAK'], speed: 1 },
    })
    const { wrapper } = await mountView(DevicesView)
    await settled()
    const switches = wrapper.findAll('.stand-ins input[role=switch]')
    expect(switches.map((one) => (one.element as HTMLInputElement).checked)).toEqual([
      false,
      false,
      false,
      true,
      false,
      false,
    ])

    await wrapper.get('.stand-ins input[type=radio][value="1440"]').setValue()
    await settled()

    expect(asked.find(({ call }) => call === 'POST /api/stand-ins')?.body).toEqual({ speed: 1440 })
  })

  it('are undone by what a button logged, and seen by whoever says so', async () => {
    const asked = stubServer(answers([OFF, PRESS]))
    await mountView(DevicesView)
    button('Undo')?.click()
    await settled()
    button('I’ve seen it')?.click()
    await settled()

    const calls = asked.map(({ call }) => call)
    expect(calls).toContain('DELETE /api/alerts/11/service')
    expect(calls).toContain('PUT /api/alerts/9/seen')
  })
})

describe('a tank with a meter', () => {
  it('is seen to fill: what follows from the meter is asked for again and again', async () => {
    vi.useFakeTimers({ shouldAdvanceTime: true })
    const again = vi.spyOn(QueryClient.prototype, 'invalidateQueries')
    stubServer(answers([], [{ ...PLUG, kind: 'FLOW', value: 533 }]))
    await mountView(TankDevices, { tank: 4 })
    again.mockClear()

    await vi.advanceTimersByTimeAsync(21_000)
    vi.useRealTimers()

    expect(again).toHaveBeenCalledWith({ queryKey: ['forecasts'] })
    again.mockRestore()
  })
})

describe('the alerts above every page', () => {
  beforeEach(() => {
    document.body.innerHTML = ''
    localStorage.clear()
    vi.stubGlobal(
      'EventSource',
      class extends EventTarget {
        close() {}
      },
    )
  })

  it('tell danger first, and not what is silenced, over or seen', async () => {
    stubServer(
      answers([
        { ...OFF, id: 1, alarm: 'SILENT', danger: false, what: 'A probe is silent.', seenBy: 'Osei' },
        { ...OFF, id: 2, danger: false, alarm: 'FILTER_OFF', what: 'Weir is off.' },
        LEAK,
        { ...OFF, id: 3, what: 'Hushed.', quietUntil: '2999-01-01T00:00:00Z' },
        { ...OFF, id: 4, what: 'Over.', endedAt: '2026-06-01T11:50:00Z' },
      ]),
    )
    const { wrapper } = await mountView(AlertBar)

    expect(wrapper.findAll('.what').map((one) => one.text().replace(/^\W+/, ''))).toEqual([
      'Water at Under the stand.',
      'Weir is off.',
    ])
    expect(wrapper.get('section').classes()).toContain('danger')
  })

  it('are not even asked for again where no device is', async () => {
    const asked = stubServer(answers([], []))
    const { wrapper } = await mountView(AlertWatch)

    expect(wrapper.text()).toBe('')
    expect(asked.filter(({ call }) => call === 'GET /api/devices')).toHaveLength(0)
  })
})
