import { afterEach, describe, expect, it, vi } from 'vitest'
import { newId } from './ids'

const draw = crypto.getRandomValues.bind(crypto)
const FORM = /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/

describe('a new id', () => {
  afterEach(() => vi.unstubAllGlobals())

  it.each([true, false])('is one of its kind, whether the browser makes it: %s', (itself) => {
    if (!itself) vi.stubGlobal('crypto', { getRandomValues: (bytes: Uint8Array<ArrayBuffer>) => draw(bytes) })
    const ids = new Set(Array.from({ length: 500 }, newId))

    expect(ids.size).toBe(500)
    for (const id of ids) expect(id).toMatch(FORM)
  })
})
