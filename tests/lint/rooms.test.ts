import { readdirSync, readFileSync } from 'node:fs'
import { dirname, normalize, join } from 'node:path'
import ts from 'typescript'
import { expect, it } from 'vitest'

/** Rooms of the job, from the ground up: each may take values from those before it, and from itself. */
const FLOORS = ['ledger', 'measuring', 'parts', 'owed', 'features', '', 'record']
/** The face of the house hands out what all of them have. */
const FACE = 'core/job/index.ts'

/** What a file takes from others when it runs; types are gone by then. */
function takenBy(file: string): string[] {
  const { statements } = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest)
  return statements.flatMap(one => {
    if (!ts.isImportDeclaration(one) && !ts.isExportDeclaration(one)) return []
    if (!one.moduleSpecifier || !ts.isStringLiteral(one.moduleSpecifier)) return []
    const clause = ts.isImportDeclaration(one) ? one.importClause : undefined
    const named = ts.isExportDeclaration(one) ? one.exportClause : clause?.namedBindings
    const isTypes = ts.isExportDeclaration(one) ? one.isTypeOnly : clause?.isTypeOnly
    const all = named && (ts.isNamedImports(named) || ts.isNamedExports(named)) ? [...named.elements] : null
    return isTypes || all?.every(each => each.isTypeOnly)
      ? []
      : [normalize(join(dirname(file), one.moduleSpecifier.text))]
  })
}

const files = readdirSync('core/job', { recursive: true, encoding: 'utf8' })
  .filter(file => /(?<!\.test)\.ts$/.test(file))
  .map(file => `core/job/${file}`)
  .filter(file => file !== FACE)
const taken = new Map(files.map(file => [file, takenBy(file).filter(one => files.includes(one))]))
const floorOf = (file: string) => FLOORS.indexOf(/^core\/job\/(?:([^/]+)\/)?.+$/.exec(file)?.[1] ?? '')

it('every file of the job lies in one of its rooms', () => expect(files.filter(file => floorOf(file) < 0)).toEqual([]))

it('a room takes nothing from those above it', () =>
  expect(
    files.flatMap(file =>
      taken.get(file)!.flatMap(one => (floorOf(one) > floorOf(file) ? [`${file} takes ${one}`] : [])),
    ),
  ).toEqual([]))

it('no file takes from itself, through whatever others', () => {
  const reaches = (from: string, to: string, seen = new Set<string>()): boolean =>
    taken.get(from)!.some(one => one === to || (!seen.has(one) && Boolean(seen.add(one)) && reaches(one, to, seen)))
  expect(files.filter(file => reaches(file, file))).toEqual([])
})
