export { default as TankCompared } from './TankCompared.vue'
