import { disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils'
import { afterAll, afterEach, vi } from 'vitest'

// Files share one world, since making one for each takes longer than the tests; so each leaves it as it found it.
disableAutoUnmount()
enableAutoUnmount(afterEach)
afterEach(() => {
  localStorage.clear()
  sessionStorage.clear()
  document.body.innerHTML = ''
})
afterAll(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})
