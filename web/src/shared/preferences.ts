import { StorageSerializers, useLocalStorage, usePreferredDark } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, watchEffect } from 'vue'

export type Theme = 'day' | 'lamp'

/** What a person likes on this device: as the device has it until they say otherwise. */
export const usePreferences = defineStore('preferences', () => {
  const chosen = useLocalStorage<string | null>('chervil.theme', null, {
    serializer: StorageSerializers.string,
  })
  const dark = usePreferredDark()
  const theme = computed<Theme>(() => {
    if (chosen.value === 'day' || chosen.value === 'lamp') return chosen.value
    return dark.value ? 'lamp' : 'day'
  })
  watchEffect(() => {
    document.documentElement.classList.toggle('lamp', theme.value === 'lamp')
  })
  const toggleTheme = () => {
    chosen.value = theme.value === 'lamp' ? 'day' : 'lamp'
  }
  return { theme, toggleTheme }
})
