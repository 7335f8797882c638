import { defineAsyncComponent } from 'vue'

export { default as ComingReadings } from './ComingReadings.vue'
export { default as HoldNotice } from './HoldNotice.vue'
export { default as TankHolds } from './TankHolds.vue'
export { default as TankWater } from './TankWater.vue'

/** Loaded where media is replaced. */
export const MediaPick = defineAsyncComponent(() => import('./MediaPick.vue'))
