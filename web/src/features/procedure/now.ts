import { useWakeLock } from '@vueuse/core'

/** Keeps the screen awake while the view is open, where the browser allows it. */
export function useAwakeScreen() {
  const { isSupported, request } = useWakeLock()
  if (isSupported.value) void request('screen').catch(() => undefined)
}
