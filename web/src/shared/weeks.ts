import dayjs from 'dayjs'
import { unitsInUse } from './units'

const DAYS = ['SUNDAY', 'MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY']

/** Lets the library's calendars begin their weeks as the site does; it takes that from its date library's locale. */
export function weekFromSite() {
  const english = dayjs.Ls.en
  if (english) english.weekStart = Math.max(0, DAYS.indexOf(unitsInUse.value.weekStart))
}
