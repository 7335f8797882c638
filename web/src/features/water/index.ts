export { default as HoldNotice } from './HoldNotice.vue'
export { default as MediaPick } from './MediaPick.vue'
export { default as TankHolds } from './TankHolds.vue'
export { default as TankWater } from './TankWater.vue'
