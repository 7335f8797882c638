export { default as WhenList } from './WhenList.vue'
export { forecastsStale, useForecasts, type Forecast } from './queries'
