import { ESLint } from 'eslint'
import { expect, it } from 'vitest'

const eslint = new ESLint({ cwd: new URL('../../', import.meta.url).pathname })
const complaints = async (code: string) =>
  (await eslint.lintText(code, { filePath: 'server/api/x.get.ts' }))[0]!.messages.map(one => one.ruleId)

it.each([
  ["import { defineEventHandler } from 'h3'\n\nexport default defineEventHandler(() => 1)\n"],
  ["import { eventHandler } from 'h3'\n\nexport default eventHandler(() => 1)\n"],
  ['export default () => 1\n'],
  ["import { route } from '../http/route.ts'\n\nconst answer = route('open', () => 1)\nexport default answer\n"],
])('a bare handler fails: %s', async code => expect(await complaints(code)).toContain('no-restricted-syntax'))

it('a route that says who may come in passes', async () => {
  expect(
    await complaints("import { route } from '../http/route.ts'\n\nexport default route('open', () => 1)\n"),
  ).toEqual([])
})
