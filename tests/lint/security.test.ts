import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'

const [claims] = readFileSync('docs/security.md', 'utf8').split('**Not protected.**') as [string]
const paragraphs = claims.split('\n\n').filter(text => text.startsWith('**'))

describe('what docs/security.md says is held by tests', () => {
  it.each(paragraphs.map(text => [/^\*\*(.+?)\*\*/.exec(text)![1]!, text]))('%s', (_, text) => {
    const held = [...text.matchAll(/<!-- held: (\S+) › (.+?) -->/g)]
    expect(held.length).toBeGreaterThan(0)
    for (const [, file, name] of held) expect(readFileSync(file!, 'utf8').replaceAll("\\'", "'"), file).toContain(name)
  })
})
