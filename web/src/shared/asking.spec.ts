import { describe, expect, it } from 'vitest'
import { ref } from 'vue'
import { ASKING, isAway, lacking, onceItIsBack } from './asking'
import { Problem } from './problem'

const unreachable = Problem.unreachable()
const down = new Problem(503, 'database-away', 'Chervil cannot reach its records just now.')
const refused = new Problem(404, 'not-found', 'There is no such tank.')
const broken = new Problem(500, 'failed', 'The server answered with 500.')
const behindTheProxy = new Problem(502, 'failed', 'The server answered with 502.')

const query = (data: unknown, error: unknown) => ({ data: ref(data), error: ref(error) })

describe('a server', () => {
  it.each([
    [unreachable, true],
    [down, true],
    [behindTheProxy, true],
    [refused, false],
    [broken, false],
    [undefined, false],
  ])('that answers with %s is away: %s', (failure, away) => {
    expect(isAway(failure)).toBe(away)
  })

  it('that is away is asked three times in all, one that refuses once', () => {
    expect([0, 1, 2].map((before) => ASKING.retry(before, down))).toEqual([true, true, false])
    expect(ASKING.retry(0, refused)).toBe(false)
    expect(ASKING.retry(0, broken)).toBe(true)
  })

  it('that is away is asked again by itself until it answers', () => {
    const asksAgain = (status: string, error: unknown) =>
      ASKING.refetchInterval({ state: { status, error, data: undefined } })
    expect(asksAgain('error', down)).toBe(5_000)
    expect(asksAgain('error', unreachable)).toBe(5_000)
    expect(asksAgain('error', refused)).toBe(false)
    expect(asksAgain('error', broken)).toBe(false)
    expect(asksAgain('pending', null)).toBe(false)
    expect(asksAgain('success', null)).toBe(false)
  })

  it('that answers is asked in the rhythm of the question', () => {
    const rhythm = onceItIsBack((plan: { improving: boolean } | undefined) => (plan?.improving ? 700 : false))
    const data = { improving: true }
    expect(rhythm({ state: { status: 'success', error: null, data } })).toBe(700)
    expect(rhythm({ state: { status: 'success', error: null, data: { improving: false } } })).toBe(false)
    expect(rhythm({ state: { status: 'error', error: down, data } })).toBe(5_000)
    expect(rhythm({ state: { status: 'error', error: refused, data } })).toBe(700)
  })
})

describe('a view', () => {
  it('lacks what never came, or was refused', () => {
    expect(lacking(query(undefined, down))).toBe(down)
    expect(lacking(query([1], null), query(undefined, refused))).toBe(refused)
    expect(lacking(query([1], refused))).toBe(refused)
    expect(lacking(query([1], broken))).toBe(broken)
  })

  it('lacks nothing while all came once, or is on its way', () => {
    expect(lacking()).toBeNull()
    expect(lacking(query(undefined, null), query([], null))).toBeNull()
    expect(lacking(query([1], down), query([2], unreachable))).toBeNull()
  })
})
