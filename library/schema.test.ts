import { readdirSync, readFileSync } from 'node:fs'
import { Ajv } from 'ajv'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sourceOf } from '../tests/shelf.ts'
import { schemaFiles } from '../command/sheet-schema.ts'
import { examineSheet } from '../core/sheet/examination/index.ts'
import { SUMS_BY_NAME } from '../core/sums/index.ts'
import published from './sheet.schema.json' with { type: 'json' }

/** Every sheet there is, shelved or made for tests, as it is written. */
const SHEETS = ['library', 'tests/sheets'].flatMap(folder =>
  readdirSync(folder)
    .filter(file => file.endsWith('.yaml'))
    // As it might come from anywhere.
    // eslint-disable-next-line @typescript-eslint/no-explicit-any
    .map(file => [file, sourceOf<any>(`${folder}/${file}`)] as const),
)
const fits = new Ajv({ strict: false, allowUnionTypes: true }).compile(published)

it('the schemas say what the types say: npm run schema', async () => {
  for (const [path, text] of await schemaFiles()) expect(readFileSync(path, 'utf8'), path).toBe(text)
}, 60_000)

describe('the published schema', () => {
  it.each(SHEETS)('fits %s', (_, sheet) => expect(fits(sheet) ? [] : fits.errors).toEqual([]))
  it('finds a word that is misspelt, a kind that is none and a unit nobody knows', () => {
    const [[, sheet]] = SHEETS as [(typeof SHEETS)[number]]
    for (const change of [
      (one: typeof sheet) => (one.steps[0].titel = one.steps[0].title),
      (one: typeof sheet) => (one.parts[0].kind = 'housng'),
      (one: typeof sheet) => (one.checks.at(-1).unit = 'furlong'),
    ]) {
      const broken = structuredClone(sheet)
      change(broken)
      expect(fits(broken)).toBe(false)
    }
  })
  it('never refuses what is sound', () => {
    const [, sheet] = SHEETS.find(([file]) => file === 'four-bearing-fit-up.yaml')!
    const odd = fc.constantFrom<unknown>(7, 'x', '{brg}', { by: 'brg', of: {} }, [], ['x'], true, {
      count: 2,
      name: 'n',
    })
    const anywhere = fc.tuple(fc.constantFrom('parts', 'checks', 'steps'), fc.nat(), fc.nat(), odd)
    let sound = 0
    fc.assert(
      fc.property(anywhere, ([list, item, word, value]) => {
        const changed = structuredClone(sheet)
        const one = changed[list][item % changed[list].length]
        const words = Object.keys(one)
        one[words[word % words.length]!] = value
        if (examineSheet(changed, SUMS_BY_NAME).length) return
        sound++
        expect(fits(changed), JSON.stringify(one)).toBe(true)
      }),
      { numRuns: 300 },
    )
    expect(sound).toBeGreaterThan(3)
  })
})
