import { defineAsyncComponent } from 'vue'

export { default as StoryChapters } from './StoryChapters.vue'
export { default as TakingOn } from './TakingOn.vue'
export { default as WhenList } from './WhenList.vue'
export {
  FORECASTS,
  forecastsStale,
  useEye,
  useForecasts,
  useOpenings,
  useStory,
  type Forecast,
  type Opening,
} from './queries'

/** Loaded where days are chosen. */
export const LookPanel = defineAsyncComponent(() => import('./LookPanel.vue'))
export const TankPauses = defineAsyncComponent(() => import('./TankPauses.vue'))

/** Loads the charts with it, so only where a story is told. */
export const storyChart = () => import('./StoryChart.vue')
