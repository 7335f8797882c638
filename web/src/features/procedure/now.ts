import { onBeforeUnmount, ref } from 'vue'

/** The time in ms, once a second. */
export function useNow() {
  const now = ref(Date.now())
  const ticking = setInterval(() => {
    now.value = Date.now()
  }, 1000)
  onBeforeUnmount(() => {
    clearInterval(ticking)
  })
  return now
}

/** Keeps the screen awake where the browser allows it. */
export function useAwakeScreen() {
  let lock: WakeLockSentinel | undefined
  const take = async () => {
    if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return
    lock = await navigator.wakeLock.request('screen').catch(() => undefined)
  }
  const again = () => void take()
  document.addEventListener('visibilitychange', again)
  again()
  onBeforeUnmount(() => {
    document.removeEventListener('visibilitychange', again)
    void lock?.release()
  })
}
