import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { Ajv } from 'ajv'
import { createGenerator } from 'ts-json-schema-generator'
import { beforeAll, describe, expect, it } from 'vitest'
import { parse } from 'yaml'
import { coupledVariants, planFor, readSheet } from '../core/sheet/index.ts'

/** Every sheet there is, shelved or made for tests. */
const FILES = ['./', '../tests/sheets/'].flatMap(folder => {
  const at = new URL(folder, import.meta.url)
  return readdirSync(at)
    .filter(file => file.endsWith('.yaml'))
    .map(file => [file, new URL(file, at)] as const)
})
/** Written out and settled for every machine whose choices hang together: values by an axis are what they are then. */
const sheetsAt = (at: URL) => {
  const sheet = readSheet(parse(readFileSync(at, 'utf8')))
  return coupledVariants(sheet).map(variants => JSON.parse(JSON.stringify(planFor(sheet, variants).sheet)))
}

/** What holds a value against a type of `core/sheet/types.ts`, made from the type itself. */
function fits(type: string): (value: unknown) => string[] {
  const schema = createGenerator({
    path: fileURLToPath(new URL('../core/sheet/types.ts', import.meta.url)),
    type,
    skipTypeCheck: true,
    additionalProperties: false,
  }).createSchema(type)
  const validate = new Ajv({ allErrors: true, strict: false, allowUnionTypes: true }).compile(schema)
  return value =>
    validate(value)
      ? []
      : (validate.errors ?? []).map(one => `${one.instancePath} ${one.message} ${JSON.stringify(one.params)}`)
}

let written: (value: unknown) => string[]
beforeAll(() => {
  written = fits('Sheet')
}, 60_000)

describe.each(FILES)('%s', (_, at) => {
  it('is a sheet, word for word', () => expect([...new Set(sheetsAt(at).flatMap(written))]).toEqual([]))
})

it('a word that is misspelt, a kind that is none and a unit nobody knows are named', () => {
  const [sheet] = sheetsAt(FILES[0]![1])
  sheet.steps[0].titel = sheet.steps[0].title
  sheet.parts[0].kind = 'housng'
  sheet.checks[0].unit = 'furlong'
  const found = written(sheet).join('\n')
  expect(found).toMatch(/\/steps\/0 must NOT have additional properties .*titel/)
  expect(found).toMatch(/\/parts\/0\/kind must be equal to one of the allowed values/)
  expect(found).toMatch(/\/checks\/0\/unit/)
})
