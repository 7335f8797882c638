/** Adds up the gzipped script that the first page, the rounds, needs, and fails above the limit. Run after a build. */
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'

const MOST_BYTES = 200_000
const MOST_FILES = 8
const root = join(import.meta.dirname, 'target/classes/static')
const assets = join(root, 'assets')

const entry = [...readFileSync(join(root, 'index.html'), 'utf8').matchAll(/assets\/([^"]+\.js)"/g)].map(
  ([, name]) => name,
)
/** In whichever file they are: the entry's, one of their own, or one they share. */
const rounds = readdirSync(assets).filter(
  (name) =>
    name.endsWith('.js') && /__name:["'`]RoundsView["'`]/.test(readFileSync(join(assets, name), 'utf8')),
)
const waiting = [...entry, ...rounds]
const loaded = new Map()
while (waiting.length) {
  const name = waiting.pop()
  if (loaded.has(name)) continue
  const source = readFileSync(join(assets, name), 'utf8')
  loaded.set(name, gzipSync(source).length)
  for (const [, other] of source.matchAll(/(?:from|import)\s*["']\.\/([^"'/]+\.js)["']/g)) waiting.push(other)
}
const total = [...loaded.values()].reduce((sum, bytes) => sum + bytes, 0)
console.log(`First page: ${String(Math.round(total / 1000))} kB of script in ${String(loaded.size)} files.`)
if (rounds.length === 0 || entry.length === 0) throw new Error('the build lacks its first page')
if (total > MOST_BYTES) throw new Error(`more than ${String(MOST_BYTES / 1000)} kB`)
if (loaded.size > MOST_FILES) throw new Error(`more than ${String(MOST_FILES)} files`)
