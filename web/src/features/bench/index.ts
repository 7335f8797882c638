export { default as BenchNav } from './BenchNav.vue'
