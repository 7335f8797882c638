export { default as BackupAge } from './BackupAge.vue'
export { useHouse } from './queries'
