import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { texts } from './texts'

/** Every sentence of the page, with what is put into it left out. */
function said(): string {
  const page = readFileSync('src/features/interval/HowView.vue', 'utf8')
  const template = page.slice(page.indexOf('<template>'), page.lastIndexOf('</template>'))
  const sentences: Record<string, string | ((...told: string[]) => string)> = texts
  return [...template.matchAll(/texts\.(\w+)/g)]
    .map(([, key]) => sentences[key ?? ''] ?? '')
    .map((sentence) => (typeof sentence === 'string' ? sentence : sentence('', '', '', '', '')))
    .join(' ')
}

it('no figure of the help is written down: all come from the engine', () => {
  expect(said().match(/\d/g)).toBeNull()
  expect(said()).toContain('Somebody who always grades harshly')
})
