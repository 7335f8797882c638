import { defineAsyncComponent } from 'vue'

export { default as HistoryList } from './HistoryList.vue'
export { default as FindingPick } from './FindingPick.vue'

/** Loaded once a service is saved. */
export const MovedPanel = defineAsyncComponent(() => import('./MovedPanel.vue'))
export const PhotoStrip = defineAsyncComponent(() => import('./PhotoStrip.vue'))
