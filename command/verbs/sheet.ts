import { readFileSync, statSync } from 'node:fs'
import { defineCommand } from 'citty'
import { examineSheet } from '../../core/sheet/examination/index.ts'
import { SUMS_BY_NAME } from '../../core/sums/index.ts'
import { sourceOf } from '../../server/db/library.ts'
import { shelve } from '../../server/db/sheets.ts'
import { appUrl, databaseArg, fromHere, knownDatabase, withDatabase } from '../place.ts'
import { Plain, say } from '../plain.ts'

const fileArg = { file: { type: 'positional', description: 'the sheet, in YAML or JSON', required: true } } as const
/** Larger than any text that is read as a sheet, in bytes. */
const MOST_BYTES = 8_000_000
const MOST_SAID = 40

/** What a file says, or a sentence that says why it says nothing. */
function sourceAt(path: string): unknown {
  let text: string
  try {
    const { size } = statSync(path)
    if (size > MOST_BYTES)
      throw new Plain(`${path} holds ${Math.round(size / 1e6)} MB. A build sheet is a text of a hundred kB or two.`)
    text = readFileSync(path, 'utf8')
  } catch (error) {
    if (error instanceof Plain) throw error
    throw new Plain(
      (error as NodeJS.ErrnoException).code === 'ENOENT'
        ? `There is no file ${path}. Name the file of a build sheet.`
        : `${path} cannot be read: ${(error as Error).message}.`,
    )
  }
  const source = sourceOf(text)
  if (!source.ok) throw new Plain(`${path}: ${source.why}`)
  return source.value
}

function faulty(path: string, faults: readonly string[]): Plain {
  const more = faults.length - MOST_SAID
  const said = [...faults.slice(0, MOST_SAID), ...(more > 0 ? [`and ${more} more`] : [])]
  return new Plain(`${path} is not sound:\n${said.map(one => `  ${one}`).join('\n')}`)
}

const check = defineCommand({
  meta: { name: 'check', description: 'examine a build sheet, and say what is wrong with it' },
  args: fileArg,
  run({ args: { file } }) {
    const faults = examineSheet(sourceAt(fromHere(file)), SUMS_BY_NAME)
    if (faults.length) throw faulty(file, faults)
    say(`${file} is sound. Put it on the shelf: ./needler sheet put ${file}`)
  },
})

const put = defineCommand({
  meta: { name: 'put', description: 'examine a build sheet and put it on the shelf' },
  args: { ...databaseArg, ...fileArg },
  async run({ args: { file, database } }) {
    const source = sourceAt(fromHere(file))
    const shelved = await withDatabase(appUrl(await knownDatabase(database)), db => shelve(db, source))
    if (shelved.faults) throw faulty(file, shelved.faults)
    const { id, version, title } = shelved.sheet
    say(
      shelved.isNew
        ? `${title}, version ${version}, is on the shelf. Give it to a machine: ./needler machine add … --sheet ${id}`
        : `${title}, version ${version}, is on the shelf already. Nothing was changed.`,
    )
  },
})

export default defineCommand({
  meta: { name: 'sheet', description: 'build sheets: check, put' },
  subCommands: { check, put },
})
