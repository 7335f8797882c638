export { default as RestartGuard } from './RestartGuard.vue'
export { useOpenGuided } from './queries'
