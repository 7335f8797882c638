import type { RouteLocationRaw } from 'vue-router'

/** Something the search can lead to. */
export interface Findable {
  /** What it is called. */
  value: string
  /** Where it belongs, to tell two of one name apart. */
  where: string
  to: RouteLocationRaw
}

const MOST = 10

/** Those that hold every word typed, names that begin with it first; nothing before a letter is typed. */
export function found(all: Findable[], typed: string): Findable[] {
  const letters = typed.trim().toLocaleLowerCase()
  if (!letters) return []
  const words = letters.split(/\s+/)
  const rank = (one: Findable) => (one.value.toLocaleLowerCase().startsWith(letters) ? 0 : 1)
  return all
    .filter((one) => {
      const text = `${one.value} ${one.where}`.toLocaleLowerCase()
      return words.every((word) => text.includes(word))
    })
    .sort((one, other) => rank(one) - rank(other))
    .slice(0, MOST)
}
