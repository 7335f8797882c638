import { useIntervalFn, useTimestamp } from '@vueuse/core'

/** The time in ms, once a second. */
export const useNow = () => useTimestamp({ scheduler: (update) => useIntervalFn(update, 1000) })
