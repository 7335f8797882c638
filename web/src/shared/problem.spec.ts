import { describe, expect, it } from 'vitest'
import { Problem } from './problem'

const answer = (status: number, body: string) => new Response(body, { status })

describe('a problem document', () => {
  it('becomes messages by field', async () => {
    const body = JSON.stringify({
      code: 'invalid-input',
      detail: 'Some fields need another look.',
      errors: [{ field: 'netVolumeL', code: 'decimal-max', message: 'At most 100,000 litres.' }],
    })

    const problem = await Problem.from(answer(422, body))

    expect(problem.byField).toEqual({ netVolumeL: 'At most 100,000 litres.' })
  })

  it('keeps what is stored, for a conflict', async () => {
    const problem = await Problem.from(answer(409, '{"code":"changed-meanwhile","current":{"version":2}}'))

    expect(problem.current).toEqual({ version: 2 })
  })

  it.each([
    [0, false],
    [399, false],
    [400, true],
    [404, true],
    [499, true],
    [500, false],
    [503, false],
  ])('of %i is a refusal: %s', (status, refuses) => {
    expect(new Problem(status, 'code', 'words').refuses).toBe(refuses)
  })

  it('is told in words even when the answer is no document', async () => {
    const problem = await Problem.from(answer(502, '<html>'))

    expect(problem.code).toBe('failed')
    expect(problem.message).toContain('502')
  })
})
