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

const READ: Onward = { label: 'Enter the reading', to: page('new-readings') }
const CHANGE: Onward = { label: 'Plan the water change', to: page('water-change') }
const FLOW: Onward = { label: 'Reckon the flow', to: sum('catch') }

/** Where a question or a repair is best done here, by its id. */
const ONWARD: Record<string, Onward> = {
  'flow-measure': FLOW,
  'accept-flow': FLOW,
  'uv-rate': FLOW,
  'ammonia-test': READ,
  'tap-test': READ,
  'repeat-test': READ,
  'top-up': { label: 'How often to top up?', to: sum('topoff') },
  'descale-pump': { label: 'Mix the vinegar bath', to: sum('vinegar') },
  'change-water': CHANGE,
  'nurse-bacteria': CHANGE,
  'find-waste': CHANGE,
  'rinse-prefilter': { label: 'How many tubs?', to: sum('buckets') },
}

export const onwardOf = (id: string): Onward | undefined => ONWARD[id]
