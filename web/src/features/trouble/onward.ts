import { texts } from './texts'
import type { RouteLocationRaw } from 'vue-router'

interface Onward {
  label: string
  to: (tank: number) => RouteLocationRaw
}

const page =
  (name: string) =>
  (tank: number): RouteLocationRaw => ({ name, params: { tank } })
const sum =
  (name: string) =>
  (tank: number): RouteLocationRaw => ({ name: 'sum', params: { sum: name }, query: { tank } })

const READ: Onward = { label: texts.enterTheReading, to: page('new-readings') }
const CHANGE: Onward = { label: texts.planTheWaterChange, to: page('water-change') }
const FLOW: Onward = { label: texts.reckonTheFlow, to: sum('catch') }

/** Where a question or a repair is best done here, by its id. */
const ONWARD: Record<string, Onward> = {
  'flow-measure': FLOW,
  'accept-flow': FLOW,
  'uv-rate': FLOW,
  'ammonia-test': READ,
  'tap-test': READ,
  'repeat-test': READ,
  'top-up': { label: texts.howOftenToTop, to: sum('topoff') },
  'descale-pump': { label: texts.mixTheVinegarBath, to: sum('vinegar') },
  'change-water': CHANGE,
  'nurse-bacteria': CHANGE,
  'find-waste': CHANGE,
  'rinse-prefilter': { label: texts.howManyTubs, to: sum('buckets') },
}

export const onwardOf = (id: string): Onward | undefined => ONWARD[id]
