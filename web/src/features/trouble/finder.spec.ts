import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { becauseOf, chanceWords, recordWords } from './because'
import { Inquiry, type Standing, type Step } from './finder'
import { answersOf, causeOf, complaintsOf, NETWORK, questionOf, type Known } from './network'

interface Vector {
  name: string
  history: { kind: Known['kind']; stages: Known['stages']; touched: Known['touched'] } & Record<
    string,
    unknown
  >
  complaint: string
  steps: [string, string, string][]
  expect: { top5: [string, number][]; next: [string, string]; contradiction: string | null }
}

/** The examples that the server is held to as well. */
const { vectors } = JSON.parse(readFileSync('../core/src/test/resources/vectors/trouble.json', 'utf8')) as {
  vectors: Vector[]
}

function known({ history }: Vector): Known {
  const { kind, stages, touched, readings, ...features } = history
  return {
    kind,
    stages,
    touched,
    readings: readings as Known['readings'],
    features: Object.fromEntries(Object.entries(features).map(([id, value]) => [id, Number(value)])),
  }
}

const KIND: Record<string, Step['kind']> = { danger: 'DANGER', answer: 'ANSWER', fix: 'TRIED' }
const steps = (vector: Vector) =>
  vector.steps.map(([kind, about, value]) => ({ kind: KIND[kind], about, value }) as Step)

function words({ next }: Standing): [string, string] {
  switch (next.step) {
    case 'DANGER':
      return ['danger', next.peril.id]
    case 'QUESTION':
      return ['test', next.question.id]
    case 'REPAIR':
      return ['fix', next.repair.id]
    case 'STOP':
      return ['stop', next.peril.exit]
    case 'SOLVED':
      return ['stop', 'solved']
  }
}

describe('the finder', () => {
  it.each(vectors.map((vector) => [vector.name, vector] as const))(
    'stands as its example: %s',
    (_name, vector) => {
      const standing = new Inquiry(known(vector), vector.complaint).after(steps(vector))

      vector.expect.top5.forEach(([cause, probability], i) => {
        expect(standing.causes[i]?.cause).toBe(cause)
        expect(standing.causes[i]?.probability).toBeCloseTo(probability, 6)
      })
      expect(words(standing)).toEqual(vector.expect.next)
      expect(standing.clash ?? null).toBe(vector.expect.contradiction)
    },
  )

  it('takes the weights of a site’s own cases', () => {
    const [vector] = vectors
    if (!vector) throw new Error('no examples')
    const chance = (weights: Record<string, number>) =>
      new Inquiry(known(vector), vector.complaint, weights)
        .after([])
        .causes.find(({ cause }) => cause === 'hose-dirty')?.probability ?? 0

    expect(chance({ 'hose-dirty': 3 })).toBeGreaterThan(chance({}))
  })
})

describe('a question', () => {
  const hum: Known = { kind: 'CANISTER', stages: ['IMPELLER'], touched: {}, features: {}, readings: {} }

  it('names the likely causes that it tells apart', () => {
    const inquiry = new Inquiry(hum, 'hum')

    expect(inquiry.apart(questionOf('press'), inquiry.after([]).causes)).toContain('touching')
  })

  it('names none that answer it alike', () => {
    const inquiry = new Inquiry(hum, 'hum')

    expect(inquiry.apart(questionOf('oils'), inquiry.after([]).causes)).toBeUndefined()
  })
})

describe('the network', () => {
  it('offers each kind of filter only what it can have', () => {
    const offered = (kind: Known['kind'], ...stages: string[]) =>
      complaintsOf({ kind, stages: stages.map((stage) => ({ kind: stage })) }).map(({ id }) => id)

    expect(offered('UV_UNIT', 'UV_LAMP')).toEqual(['drips', 'green', 'lamp-dark'])
    expect(offered('CANISTER', 'SEALS')).not.toContain('green')
    expect(offered('CANISTER', 'UV_LAMP')).toContain('lamp-dark')
    expect(offered('CANISTER')).not.toContain('sump-rises')
    expect(offered('SUMP')).toContain('sump-rises')
  })

  it('has no lamp end where there is no lamp', () => {
    const filter = (stages: Known['stages']): Known => ({
      kind: 'CANISTER',
      stages,
      touched: {},
      features: {},
      readings: {},
    })
    const ends = (stages: Known['stages']) =>
      answersOf(questionOf('drip-where'), filter(stages)).map(({ id }) => id)

    expect(ends(['SEALS'])).not.toContain('bay')
    expect(ends(['SEALS', 'UV_LAMP'])).toContain('bay')
  })

  it('cautions wherever the pump has to be off', () => {
    const silent = [...NETWORK.questions, ...NETWORK.repairs].filter(
      ({ cost, caution }) => cost.pumpOff && caution === undefined,
    )

    expect(silent.map(({ id }) => id)).toEqual([])
  })
})

describe('the reasons', () => {
  const canister: Known = {
    kind: 'CANISTER',
    stages: ['PREFILTER_SPONGE', 'IMPELLER'],
    touched: { LID: 2 },
    features: { daysSinceImpeller: 410, hardOrMarine: 0 },
    readings: {},
  }
  const modifier = (cause: string, by: string) => {
    const found = causeOf(cause).modifiers.find((one) => one.by === by)
    if (!found) throw new Error(`${cause} does not go by ${by}`)
    return found
  }

  it('tells what the log says, most telling first', () => {
    const why = becauseOf('impeller-dirty', new Inquiry(canister, 'noise'), canister, [
      { kind: 'ANSWER', about: 'noise-kind', value: 'rattle' },
    ])

    expect(why.reasons[0]).toBe('the impeller was last cleaned 410 days ago')
  })

  it('says when nothing but its being common speaks for it', () => {
    const why = becauseOf('touching', new Inquiry(canister, 'hum'), canister, [])

    expect(why.reasons).toEqual([])
  })

  it('tells what speaks against it as it is, not as its opposite', () => {
    const why = becauseOf('impeller-lime', new Inquiry(canister, 'noise'), canister, [])

    expect(why.against).toBe('the water is soft and fresh')
  })

  it.each([
    ['prefilter-full', 'prefilterLoading', 0.9, 'it should be 90 % full by now'],
    ['prefilter-full', 'prefilterLoading', 2.4, 'it should be past full by now'],
    ['prefilter-full', 'prefilterLastGrade', 3, 'it was found heavy last time'],
    ['hose-kinked', 'LID', 0, 'the filter was opened today'],
    ['hose-kinked', 'LID', 1, 'the filter was opened yesterday'],
    ['hose-kinked', 'LID', 2, 'the filter was opened 2 days ago'],
    ['bloom', 'tankAgeDays', 1, 'the tank is 1 day old'],
    ['lamp-old', 'lampHoursShare', 1.3, 'the lamp has burnt all of its hours'],
    ['stale-filter', 'filterOffHours', 6, 'the filter stood still for 6 hours'],
  ])('words %s by %s at %d', (cause, by, value, expected) => {
    expect(recordWords(modifier(cause, by), value)).toBe(expected)
  })

  it.each([
    [0.95, 'very likely'],
    [0.8, 'very likely'],
    [0.79, 'likely'],
    [0.25, 'possible'],
    [0.1, 'unlikely'],
  ])('says %d as %s, and never certain', (probability, expected) => {
    expect(chanceWords(probability)).toBe(expected)
  })
})
