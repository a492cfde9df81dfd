import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import en from './en.json'

/** Everything written that may name a message: pages, and the server, which reads lists of words from the catalogue. */
function texts(dir: string, ends: RegExp): string[] {
  return readdirSync(dir, { withFileTypes: true }).flatMap((one) => {
    const path = join(dir, one.name)
    if (one.isDirectory()) return ['bin', 'obj', 'node_modules'].includes(one.name) ? [] : texts(path, ends)
    return ends.test(one.name) && !one.name.includes('.test.') ? [readFileSync(path, 'utf8')] : []
  })
}

const leaves = (node: object, path = ''): string[] =>
  Object.entries(node).flatMap(([key, value]) =>
    typeof value === 'object' && value !== null ? leaves(value as object, `${path}${key}.`) : [`${path}${key}`],
  )

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')

describe('the catalogue', () => {
  it('holds no message that nothing asks for', () => {
    const pages = texts(join(__dirname, '..'), /\.(ts|vue)$/).join('\n')
    const code = texts(join(__dirname, '../../../src'), /\.cs$/)
    const server = code.join('\n')
    const named = new Set([...pages.matchAll(/['"`]([\w-]+(?:\.[\w-]+)+)['"`]/g)].map(([, key]) => key!))
    // A template names all messages that fit into it; what stands in its holes may be one step or several.
    const templates = [...pages.matchAll(/`([\w-]+\.[^`]*?)`/g)].map(([, text]) => text!)
    const patterns = templates
      .filter((text) => text.includes('${'))
      .map(
        (text) =>
          new RegExp(
            `^${text
              .split(/\$\{[^}]*\}/)
              .map(escaped)
              .join('[\\w.:-]+')}$`,
          ),
      )
    // The server reads whole lists of words by their name, so that a table may say a thing as the screen does.
    const asking = server.split('\n').filter((line) => /WordCatalog|FieldWords|\[typeof\(/.test(line))
    const lists = asking.flatMap((line) => [...line.matchAll(/"([a-z]\w*(?:\.\w+)*)"/g)].map(([, name]) => `${name}.`))
    // The rules of the core name the parts of the catalogue that their words are keys of.
    const declaring = code.filter((text) => text.includes('.Ends('))
    lists.push(...declaring.flatMap((text) => [...text.matchAll(/\b\w+:([a-z][\w.]*)/g)].map(([, name]) => `${name}.`)))
    for (const [, key] of server.matchAll(/\bSay\(\s*\$?"([\w.{}]+)"/g)) {
      if (key!.includes('{'))
        patterns.push(
          new RegExp(
            `^${key!
              .split(/\{\w*\}/)
              .map(escaped)
              .join('[\\w.:-]+')}$`,
          ),
        )
      else named.add(key!)
    }
    const isAsked = (key: string) =>
      named.has(key) || patterns.some((pattern) => pattern.test(key)) || lists.some((list) => key.startsWith(list))
    expect(leaves(en).filter((key) => !isAsked(key))).toEqual([])
  })
})
