export { default as LookPanel } from './LookPanel.vue'
export { default as TankPauses } from './TankPauses.vue'
export { default as StoryChapters } from './StoryChapters.vue'
export { default as WhenList } from './WhenList.vue'
export { forecastsStale, useEye, useForecasts, useStory, type Forecast } from './queries'

/** Loads the charts with it, so only where a story is told. */
export const storyChart = () => import('./StoryChart.vue')
