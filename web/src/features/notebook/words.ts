import type { Column, Key } from './queries'

/** What a column can say, as offered. */
export const ROLES: { value: Column['role']; label: string }[] = [
  { value: 'DAY', label: 'The day' },
  { value: 'WORK', label: 'What was done' },
  { value: 'TASK', label: 'One task: a mark if it was done' },
  { value: 'FOUND', label: 'How dirty it was' },
  { value: 'BY', label: 'Who did it' },
  { value: 'MINUTES', label: 'Minutes' },
  { value: 'FLOW_BEFORE', label: 'Flow before' },
  { value: 'FLOW_AFTER', label: 'Flow after' },
  { value: 'NOTE', label: 'A note' },
  { value: 'NOTHING', label: 'Leave out' },
]

export const ORDERS: { value: Key['order']; label: string }[] = [
  { value: 'MONTH_FIRST', label: 'month/day/year' },
  { value: 'DAY_FIRST', label: 'day/month/year' },
  { value: 'YEAR_FIRST', label: 'year-month-day' },
]

export const FLOWS: { value: Key['flowUnit']; label: string }[] = [
  { value: 'LITRES_AN_HOUR', label: 'litres an hour' },
  { value: 'US_GALLONS_AN_HOUR', label: 'US gallons an hour' },
  { value: 'UK_GALLONS_AN_HOUR', label: 'imperial gallons an hour' },
]
