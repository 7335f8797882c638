import { shallowRef, type Ref } from 'vue'
import type { Router } from 'vue-router'
import { Problem } from '@/shared/problem'

/**
 * Watches for views whose file does not arrive, as over a weak network. Such a view is loaded anew, once; if it does not
 * arrive then either, that is what is returned until somebody gets elsewhere.
 */
export function useArrival(router: Router): Ref<Problem | null> {
  const missed = shallowRef<Problem | null>(null)
  router.onError((_failure, to) => {
    if (history.state?.loadedAnew === to.fullPath) {
      missed.value = Problem.unreachable()
      return
    }
    history.replaceState({ ...history.state, loadedAnew: to.fullPath }, '', to.fullPath)
    location.reload()
  })
  router.afterEach((_to, _from, failure) => {
    if (!failure) missed.value = null
  })
  return missed
}
