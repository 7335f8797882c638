import { defineStore } from 'pinia'
import { ref, watchEffect } from 'vue'

export type Theme = 'day' | 'lamp'

const KEY = 'chervil.theme'

function stored(): Theme {
  const kept = localStorage.getItem(KEY)
  if (kept === 'day' || kept === 'lamp') return kept
  return globalThis.matchMedia('(prefers-color-scheme: dark)').matches ? 'lamp' : 'day'
}

/** What a person likes on this device. */
export const usePreferences = defineStore('preferences', () => {
  const theme = ref<Theme>(stored())
  watchEffect(() => {
    document.documentElement.classList.toggle('lamp', theme.value === 'lamp')
    localStorage.setItem(KEY, theme.value)
  })
  const toggleTheme = () => {
    theme.value = theme.value === 'lamp' ? 'day' : 'lamp'
  }
  return { theme, toggleTheme }
})
