import { ESLint } from 'eslint'
import { describe, expect, it } from 'vitest'

const eslint = new ESLint({ cwd: new URL('../../', import.meta.url).pathname })
const complaints = async (filePath: string, code: string) => {
  const [result] = await eslint.lintText(code, { filePath })
  return result!.messages.map(one => one.ruleId)
}

describe('arrows run one way', () => {
  it.each([
    ['core/job/x.ts', "import { ref } from 'vue'\nexport const a = ref\n"],
    ['core/job/x.ts', "import { person } from '../../server/db/schema.ts'\nexport const a = person\n"],
    ['core/fits/x.ts', "import Joi from 'joi'\nexport const a = Joi\n"],
    ['app/components/x.ts', "import { person } from '~~/server/db/schema'\nexport const a = person\n"],
    ['server/db/x.ts', "import { useJobStore } from '../../app/stores/job'\nexport const a = useJobStore\n"],
    ['shared/x.ts', "import { database } from '../server/db/client.ts'\nexport const a = database\n"],
  ])('%s may not reach out', async (file, code) =>
    expect(await complaints(file, code)).toContain('no-restricted-imports'),
  )
  it('lets the core use the core', async () => {
    expect(
      await complaints('core/job/x.ts', "import { judge } from '../verdict.ts'\n\nexport const a = judge\n"),
    ).toEqual([])
  })
  it.each([
    ['Date.now()', 'no-restricted-properties'],
    ['Math.random()', 'no-restricted-properties'],
    ['new Date()', 'no-restricted-syntax'],
  ])('the core does not ask for %s', async (code, rule) => {
    expect(await complaints('core/job/x.ts', `export const a = ${code}\n`)).toContain(rule)
  })
})
