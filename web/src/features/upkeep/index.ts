export { default as BackupAge } from './BackupAge.vue'
