import { defineAsyncComponent } from 'vue'

export { default as AlertWatch } from './AlertWatch.vue'
export const TankDevices = defineAsyncComponent(() => import('./TankDevices.vue'))
