import { texts } from './texts'
import type { Forecast } from '@/features/interval'
import type { Tank } from './queries'

export type Order = 'ROOM' | 'NEED' | 'NAME'

/** Finds what belongs to a tank, sorted out once for all of them. */
export function ofTank<T>(all: T[], idOf: (one: T) => number): (tank: number) => T[] {
  const byTank = new Map<number, T[]>()
  for (const one of all) {
    const list = byTank.get(idOf(one))
    if (list) list.push(one)
    else byTank.set(idOf(one), [one])
  }
  return (tank) => byTank.get(tank) ?? []
}

/** What asks first: what is not on hold before what is, then the window that ends soonest. */
export function mostPressing(forecasts: Forecast[]): Forecast | undefined {
  return forecasts.toSorted(
    (one, other) =>
      Number(one.hold !== undefined) - Number(other.hold !== undefined) ||
      one.window.latest.localeCompare(other.window.latest),
  )[0]
}

/** Tanks in groups: by room, or in one group by need or by name. */
export function grouped(
  tanks: Tank[],
  order: Order,
  forecastsOf: (tank: number) => Forecast[],
): { title: string; tanks: Tank[] }[] {
  const byName = tanks.toSorted((one, other) => one.tank.name.localeCompare(other.tank.name))
  if (order === 'NAME') return [{ title: '', tanks: byName }]
  if (order === 'NEED') {
    const end = (tank: Tank) => {
      const next = mostPressing(forecastsOf(tank.id))
      return next && !next.hold ? next.window.latest : '9999'
    }
    return [{ title: '', tanks: byName.toSorted((one, other) => end(one).localeCompare(end(other))) }]
  }
  const rooms = [...new Set(byName.map((one) => one.tank.room))].toSorted()
  return rooms.map((room) => ({
    title: room || texts.noRoom,
    tanks: byName.filter((one) => one.tank.room === room),
  }))
}
