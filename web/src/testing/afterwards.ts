import { disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils'
import { afterAll, afterEach, vi } from 'vitest'

// Files share one world, since making one for each takes longer than the tests; so each leaves it as it found it.
afterEach(() => {
  vi.restoreAllMocks()
  localStorage.clear()
  sessionStorage.clear()
  document.body.innerHTML = ''
})
// Told last and so done first: what a view keeps as it goes is cleared after it.
disableAutoUnmount()
enableAutoUnmount(afterEach)
afterAll(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

/** As browsers say it. Here it would be all of its HTML, and what places the lists of fields asks for it at every move. */
Element.prototype.toString = function () {
  return `[object ${this.constructor.name}]`
}
