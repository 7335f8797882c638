import { texts } from './texts'
import { inOurUnits } from './units'

/** One rule broken, at the field it belongs to. */
export interface Violation {
  field: string
  code: string
  message: string
}

interface ProblemDocument {
  detail?: string
  code?: string
  errors?: Violation[]
  current?: unknown
}

/** A failure as the server described it, or as the network left it. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly errors: Violation[] = [],
    readonly current?: unknown,
  ) {
    super(message)
  }

  static async from(response: Response): Promise<Problem> {
    const document = (await response.json().catch(() => ({}))) as ProblemDocument
    const message = document.detail ?? texts.theServerAnsweredWith(response.status)
    return new Problem(response.status, document.code ?? 'failed', message, document.errors, document.current)
  }

  static unreachable(): Problem {
    return new Problem(0, 'unreachable', texts.chervilCouldNotBe)
  }

  /** Whether the server understood and said no, so that asking again would bring the same. */
  get refuses(): boolean {
    return this.status >= 400 && this.status < 500
  }

  /** Whether nothing is wrong, and the keeper is only asked whether a surprising value is right. */
  get asks(): boolean {
    return this.errors.length > 0 && this.errors.every((error) => error.code === 'asked')
  }

  /** Messages by field, for a form. */
  get byField(): Record<string, string> {
    return Object.fromEntries(this.errors.map((error) => [error.field, inOurUnits(error.message)]))
  }
}

/** Any failure in words for people. */
export function wordsOf(failure: unknown): string {
  return failure instanceof Error ? inOurUnits(failure.message) : texts.somethingWentWrongTry
}
