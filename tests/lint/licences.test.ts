import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'

const { dependencies } = JSON.parse(readFileSync('package.json', 'utf8')) as { dependencies: Record<string, string> }
const listed = readFileSync('docs/licences.md', 'utf8')

it.each(Object.entries(dependencies))('%s %s stands in the list of licences', (name, version) =>
  expect(listed).toMatch(new RegExp(`^\\| ${name.replace(/[/.]/g, '\\$&')} \\| ${version} \\| \\S`, 'm')),
)
it('names a licence for every package', () => expect(listed).not.toContain('none given'))
