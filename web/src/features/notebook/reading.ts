import type { Key, KeyView, Phrase } from './queries'

/**
 * The text of a file. Spreadsheets save in the signs of their country as often as in Unicode; what is not the one is taken
 * for the other.
 */
export async function textOf(file: Blob): Promise<string> {
  const bytes = await file.arrayBuffer()
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

/** A key guessed anew, with what its keeper said before of the same phrases and words. */
export function keepingAnswers(guess: Key, before: Key | undefined, touched: ReadonlySet<string>): Key {
  if (!before) return guess
  const phrases = new Map(before.work.map((one) => [one.phrase, one]))
  const words = new Map(before.grades.map((one) => [one.word, one]))
  return {
    ...guess,
    dayFromAbove: before.dayFromAbove,
    stoodSince: before.stoodSince,
    work: guess.work.map((one) => (touched.has(one.phrase) ? (phrases.get(one.phrase) ?? one) : one)),
    grades: guess.grades.map((one) => (touched.has(one.word) ? (words.get(one.word) ?? one) : one)),
  }
}

/** Phrases the most frequent first, those that are no work yet before the others. */
export function unclearFirst(view: KeyView, key: Key): { phrase: Phrase; times: number }[] {
  const times = new Map(view.phrases.map((one) => [one.words, one.times]))
  return key.work
    .map((phrase) => ({ phrase, times: times.get(phrase.phrase) ?? 0 }))
    .toSorted((a, b) => order(a.phrase) - order(b.phrase) || b.times - a.times)
}

const order = (phrase: Phrase) => (phrase.use === 'DONE' ? 1 : 0)
