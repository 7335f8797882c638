import { defineAsyncComponent } from 'vue'

export { default as AlertWatch } from './AlertWatch.vue'
export const AlertBar = defineAsyncComponent(() => import('./AlertBar.vue'))
export const TankDevices = defineAsyncComponent(() => import('./TankDevices.vue'))
