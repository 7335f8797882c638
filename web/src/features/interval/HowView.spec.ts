import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'

it('no figure of the help is written down: all come from the engine', () => {
  const page = readFileSync('src/features/interval/HowView.vue', 'utf8')
  const template = page.slice(page.indexOf('<template>'), page.lastIndexOf('</template>'))
  const said = template.replace(/\{\{[^}]*\}\}/g, '').replace(/<[^>]*>/g, ' ')

  expect(said.match(/\d/g)).toBeNull()
  expect(said).toContain('Somebody who always grades harshly')
})
