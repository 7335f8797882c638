import { inject, type InjectionKey } from 'vue'
import type { RouteLocationRaw } from 'vue-router'

/** Whether whoever is signed in may do what a page is for; the shell knows. */
export const MAY_GO: InjectionKey<(to: RouteLocationRaw) => boolean> = Symbol('may go')

export const useMayGo = () => inject(MAY_GO, () => true)
