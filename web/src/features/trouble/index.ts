export { default as TankTrouble } from './TankTrouble.vue'
export { default as SiteTrouble } from './SiteTrouble.vue'
