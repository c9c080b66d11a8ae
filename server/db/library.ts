import { readdirSync, readFileSync } from 'node:fs'
import { parse } from 'yaml'
import { readSheet, type SheetSource, type ShelfSheet } from '../../core/sheet/index.ts'
import { accept, refuse, type Result } from '../../core/result.ts'
import type { Database } from './client.ts'
import { buildSheet } from './schema.ts'
import { shelve } from './sheets.ts'

const LIBRARY = new URL('../../library/', import.meta.url)

/** Longest text of a sheet that is read at all, in letters: more than ten times the longest there is. */
const MOST_LETTERS = 2_000_000

/** What a text in YAML or JSON says, or why it says nothing; whether that is a sheet is another question. */
export function sourceOf(text: string): Result<unknown> {
  if (text.length > MOST_LETTERS)
    return refuse(`It is ${text.length.toLocaleString('en-GB')} letters long, and 2,000,000 are the most.`)
  try {
    return accept(parse(text))
  } catch (error) {
    return refuse(`It cannot be read as YAML: ${(error as Error).message.split('\n')[0]}`)
  }
}

/** The build sheets that ship with the application, as they are written in their files. */
export const librarySources = (): SheetSource[] =>
  readdirSync(LIBRARY)
    .filter(file => file.endsWith('.yaml'))
    .map(file => parse(readFileSync(new URL(file, LIBRARY), 'utf8')) as SheetSource)

/** The build sheets that ship with the application, read from their files. For commands only; the server reads its shelf. */
export const librarySheets = (): ShelfSheet[] => librarySources().map(readSheet)

/**
 * Puts the sheets that ship with the application on the shelf, those that are not there yet. Throws where one is unsound.
 */
export async function shelveLibrary(db: Database, sources = librarySources()): Promise<void> {
  const there = await db.select({ id: buildSheet.id, version: buildSheet.version }).from(buildSheet)
  for (const source of sources) {
    if (there.some(one => one.id === source.id && one.version === source.version)) continue
    const shelved = await shelve(db, source)
    if ('faults' in shelved)
      throw new Error(`The build sheet ${source.id} that ships with Needler is unsound: ${shelved.faults!.join('; ')}`)
  }
}
