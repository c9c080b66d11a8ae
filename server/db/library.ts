import { readdirSync, readFileSync } from 'node:fs'
import { parse } from 'yaml'
import { readSheet, type ShelfSheet } from '../../core/sheet/index.ts'
import type { Database } from './client.ts'
import { shelve } from './sheets.ts'

const LIBRARY = new URL('../../library/', import.meta.url)

/** The build sheets that ship with the application, read from their files. For commands only; the server reads its shelf. */
export function librarySheets(): ShelfSheet[] {
  return readdirSync(LIBRARY)
    .filter(file => file.endsWith('.yaml'))
    .map(file => readSheet(parse(readFileSync(new URL(file, LIBRARY), 'utf8'))))
}

export async function shelveLibrary(db: Database): Promise<void> {
  for (const sheet of librarySheets()) await shelve(db, sheet)
}
