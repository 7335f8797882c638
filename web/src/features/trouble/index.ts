export { default as TankTrouble } from './TankTrouble.vue'
