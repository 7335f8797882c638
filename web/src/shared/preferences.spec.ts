import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { usePreferences } from './preferences'

const KEY = 'chervil.theme'

function onDevice(dark: boolean) {
  vi.stubGlobal('matchMedia', (query: string) => ({
    matches: dark && query.includes('dark'),
    media: query,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }))
  setActivePinia(createPinia())
  return usePreferences()
}

const lampIsOn = () => document.documentElement.classList.contains('lamp')

describe('the theme', () => {
  beforeEach(() => {
    localStorage.clear()
  })
  afterEach(() => {
    vi.unstubAllGlobals()
  })

  it.each([
    [true, 'lamp'],
    [false, 'day'],
  ])('is that of the device until somebody says otherwise (dark: %s)', (dark, theme) => {
    expect(onDevice(dark).theme).toBe(theme)
    expect(lampIsOn()).toBe(dark)
    expect(localStorage.getItem(KEY)).toBeNull()
  })

  it('is what was chosen, whatever the device has', async () => {
    const preferences = onDevice(true)
    preferences.toggleTheme()
    await nextTick()

    expect(lampIsOn()).toBe(false)
    expect(localStorage.getItem(KEY)).toBe('day')
    expect(onDevice(true).theme).toBe('day')
  })

  it('does not mind what it does not know', () => {
    localStorage.setItem(KEY, 'dusk')

    expect(onDevice(false).theme).toBe('day')
  })
})
