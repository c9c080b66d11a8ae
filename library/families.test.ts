import { readdirSync } from 'node:fs'
import { expect, it } from 'vitest'
import { sourceOf } from '../tests/shelf.ts'
import type { SheetFrame } from '../core/sheet/types.ts'
import { ALL_MISTAKES } from '../tests/mistakes/index.ts'

/** A text of a sheet as it stands for all of a list: a gap where the list fills it in, and by its first choice where it hangs on one. */
function plain(text: unknown): string {
  if (typeof text === 'string')
    return text
      .replace(/(,|:)? (of the )?\{[^}]*\}$/, '')
      .replaceAll(/\{[^}]*\}/g, '…')
      .replaceAll(', …', '')
  const by = text as { of?: Record<string, unknown> } | undefined
  return by?.of ? plain(Object.values(by.of)[0]) : ''
}
const titles = (items: readonly { [word: string]: unknown }[]) =>
  [...new Set(items.map(one => plain(one.title)))].join('; ')
const said = (what: string, words: string) => (words ? [`- **${what}:** ${words}`] : [])

/** A family as its sheet has it: how its machines differ, what is judged and asked of them, what is stopped. */
function pageOf(sheet: SheetFrame): string[] {
  const { mistakes = [] } = ALL_MISTAKES.find(one => one.sheet === sheet.id) ?? {}
  const [fixed, decided] = [false, true].map(is => sheet.axes.filter(axis => Boolean(axis.decided) === is))
  const choicesOf = (axes: typeof sheet.axes) =>
    axes.map(({ title, choices }) => `${title} (${choices.map(one => one.title).join(' / ')})`).join('; ')
  const [asked, read] = [true, false].map(is => sheet.checks.filter(check => (check.kind === 'asked') === is))
  return [
    `## ${sheet.family} ${sheet.title}`,
    '',
    ...said('Built as', choicesOf(fixed!)),
    ...said('Decided on the job', choicesOf(decided!)),
    ...said('Judged by what is read', titles(read!)),
    ...said('Asked', titles(asked!)),
    ...said('How parts stand', titles(sheet.mates)),
    ...said('Looked at', titles(sheet.looks ?? [])),
    ...said(`Stopped, each tried in a test (${mistakes.length})`, mistakes.map(one => one.what).join('; ')),
    '',
  ]
}

it('every family has its page, made from its sheet', async () => {
  const sheets = readdirSync(import.meta.dirname)
    .filter(file => file.endsWith('.yaml'))
    .map(file => sourceOf<SheetFrame>(`library/${file}`))
    .toSorted((a, b) => Number(a.family.slice(1)) - Number(b.family.slice(1)))
  const text = [
    '# The machine families',
    '',
    'Made from the sheets and the table of mistakes (`npx vitest run --project unit library/families -u`), never by hand.',
    '',
    ...sheets.flatMap(pageOf),
  ].join('\n')
  expect(text).not.toMatch(/undefined|\[object|[{}]/)
  await expect(text).toMatchFileSnapshot('../docs/families.md')
})
