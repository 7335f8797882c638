export { default as HistoryList } from './HistoryList.vue'
