// Writes what the API and the core say into src/generated, touching only files whose content changed, so that checks can
// read them while a build is under way.
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, renameSync, rmSync, copyFileSync, existsSync, mkdirSync } from 'node:fs'
import { join } from 'node:path'

const generated = 'src/generated'
mkdirSync(generated, { recursive: true })
const made = mkdtempSync(join('node_modules', '.types-'))
execFileSync(
  'node_modules/.bin/openapi-typescript',
  ['../server/openapi.json', '-o', join(made, 'api.d.ts')],
  {
    stdio: ['ignore', 'ignore', 'inherit'],
  },
)
for (const file of ['vocabulary.json', 'sums.json', 'trouble.json']) {
  copyFileSync(join('..', 'server', file), join(made, file))
}
for (const file of ['api.d.ts', 'vocabulary.json', 'sums.json', 'trouble.json']) {
  const here = join(generated, file)
  if (!existsSync(here) || !readFileSync(here).equals(readFileSync(join(made, file))))
    renameSync(join(made, file), here)
}
rmSync(made, { recursive: true })
