import { onBeforeUnmount } from 'vue'

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
