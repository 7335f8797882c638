import { disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils'
import { afterEach } from 'vitest'

// Files share one world, since making one for each takes longer than the tests; so each test leaves it as it found it.
disableAutoUnmount()
enableAutoUnmount(afterEach)
afterEach(() => {
  localStorage.clear()
  sessionStorage.clear()
  document.body.innerHTML = ''
})
