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
