export { default as HistoryList } from './HistoryList.vue'
export { default as FindingPick } from './FindingPick.vue'
export { default as MovedPanel } from './MovedPanel.vue'
export { default as PhotoStrip } from './PhotoStrip.vue'
