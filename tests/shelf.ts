import { readdirSync, readFileSync } from 'node:fs'
import { parse } from 'yaml'
import { readSheet, type Sheet, type SheetSource } from '../core/sheet/index.ts'

/** The sheets that tests are done on. */

const frozen = <T>(value: T): T => {
  if (typeof value === 'object' && value !== null) Object.values(Object.freeze(value)).forEach(frozen)
  return value
}
/** Done once a file, since reading is most of the work of many a test. Whoever alters a sheet alters a copy. */
const once = <T>(read: (path: string) => T): ((path: string) => T) => {
  const known = new Map<string, T>()
  return path => {
    if (!known.has(path)) known.set(path, frozen(read(path)))
    return known.get(path)!
  }
}
// From the checkout's folder, where every test is started: a test of a screen has no address of its file.
const written = once(path => parse(readFileSync(path, 'utf8')) as SheetSource)
const readOut = once(path => readSheet(written(path)) as Sheet)

/** A sheet as it is written in its file, to be altered. */
export const sourceOf = <T = SheetSource>(path: string): T => structuredClone(written(path)) as T

/** A small sheet made for tests, written out. */
export const sheetNamed = (name: string): Sheet => readOut(`tests/sheets/${name}.yaml`)

/** A sheet of the library, written out. */
export const librarySheet = (name: string): Sheet => readOut(`library/${name}.yaml`)

/** Every sheet of the library, by the name of its file. */
export const librarySheetNames = (): string[] =>
  readdirSync('library').flatMap(file => /^(.*)\.yaml$/.exec(file)?.[1] ?? [])
