/** How many of the pores of a drawn pad are shut, and how brown it is, at each of some loadings. */
const STOPS: { loading: number; shut: number; haze: number }[] = [
  { loading: 0.04, shut: 0, haze: 0 },
  { loading: 0.1, shut: 1, haze: 0.03 },
  { loading: 0.205, shut: 8, haze: 0.08 },
  { loading: 0.477, shut: 18, haze: 0.28 },
  { loading: 0.806, shut: 31, haze: 0.62 },
  { loading: 1.35, shut: 36, haze: 1 },
]

/** What a pad looks like at a loading, between the five tiles on the scale that they are drawn by. */
export function padAt(loading: number): { shut: number; haze: number; around: boolean } {
  const above = Math.max(
    1,
    STOPS.findIndex((stop) => stop.loading >= loading),
  )
  const from = STOPS[above - 1]
  const to = STOPS[above]
  if (!from || !to) return { shut: 0, haze: 0, around: false }
  const part = Math.log(loading / from.loading) / Math.log(to.loading / from.loading)
  const at = (a: number, b: number) => a + part * (b - a)
  return { shut: Math.round(at(from.shut, to.shut)), haze: at(from.haze, to.haze), around: loading > 1 }
}

/** An order that differs from day to day but not while somebody grades. */
export function shuffled(count: number, seed: number): number[] {
  let state = seed || 1
  const next = () => (state = (state * 48271) % 2147483647)
  return Array.from({ length: count }, (_, i) => ({ i, key: next() }))
    .sort((a, b) => a.key - b.key)
    .map(({ i }) => i)
}
