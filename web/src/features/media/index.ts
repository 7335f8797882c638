export { default as TankMedia } from './TankMedia.vue'
