/**
 * Prints every text that a keeper may read, with its place: of templates and scripts of the web, and string literals of core
 * and server. For reading aloud, from beginning to end.
 */
import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { parse } from 'vue/compiler-sfc'

const ELEMENT = 1
const TEXT = 2
const SAID = /^(label|legend|hint|title|placeholder|text|words|what|action|aria-label)$/

function files(folder, ending) {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name)
    if (statSync(path).isDirectory()) return files(path, ending)
    return ending.test(name) && !/\.spec\.ts$|generated/.test(path) ? [path] : []
  })
}

/** Literals that read like words: with a space, or a capital first and a full stop last. */
const literals = (source) =>
  [...source.matchAll(/(['"`])((?:(?!\1)[^\\\n]|\\.)*)\1/g)]
    .map((found) => found[2].trim())
    .filter(
      (text) =>
        /[A-Za-z]{2,} [A-Za-z]{2,}/.test(text) && !/^(\.|@|\/|select |insert |update |delete )/.test(text),
    )

function* ofTemplate(node) {
  if (node.type === TEXT && node.content.trim()) yield node.content.trim().replaceAll(/\s+/g, ' ')
  if (node.type === ELEMENT)
    for (const prop of node.props) {
      if (prop.value && SAID.test(prop.name)) yield prop.value.content
      if (prop.exp && SAID.test(prop.arg?.content ?? '')) yield* literals(prop.exp.content)
    }
  if (node.content?.content) yield* literals(node.content.content)
  for (const child of node.children ?? []) yield* ofTemplate(child)
}

function textsOf(path) {
  const source = readFileSync(path, 'utf8')
  if (!path.endsWith('.vue')) return literals(source.replaceAll(/\/\*[^]*?\*\/|\/\/.*$/gm, ''))
  const { descriptor } = parse(source)
  const script = descriptor.scriptSetup?.content.replaceAll(/\/\*[^]*?\*\/|import .*/g, '') ?? ''
  return [...(descriptor.template ? ofTemplate(descriptor.template.ast) : []), ...literals(script)]
}

const root = join(import.meta.dirname, '..')
for (const path of [
  ...files(join(root, 'web/src'), /\.(vue|ts)$/),
  ...files(join(root, 'core/src/main/java'), /\.java$/),
  ...files(join(root, 'server/src/main/java'), /\.java$/),
]) {
  const texts = [...new Set(textsOf(path))]
  if (texts.length)
    console.log(`\n${path.slice(root.length + 1)}\n${texts.map((text) => `  ${text}`).join('\n')}`)
}
