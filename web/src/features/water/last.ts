import { useLocalStorage } from '@vueuse/core'

/** The tank whose water was looked at last, by its id; 0 before the first. */
export const useLastTank = () => useLocalStorage('chervil.water.tank', 0)
