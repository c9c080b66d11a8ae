import { existsSync } from 'node:fs'
import { defineCommand } from 'citty'
import { sql } from 'drizzle-orm'
import { migrateToNewest } from '../../server/db/migrate.ts'
import {
  APP_USER,
  asOwnerOf,
  contentsOf,
  contentsWords,
  createDatabase,
  databaseExists,
  dropDatabase,
  fromHere,
  ownerUrl,
  postgres,
  renameDatabase,
  SITE,
  withDatabase,
} from '../place.ts'
import { Plain, say } from '../plain.ts'

/** Loads a backup into a new database and looks whether it is whole. Throws in words where it is not. */
async function load(file: string, into: string): Promise<void> {
  await createDatabase(into)
  const flags = ['--no-owner', '--no-privileges', '--exit-on-error', '--single-transaction']
  await postgres('pg_restore', [...asOwnerOf(into), ...flags, file]).catch((error: { stderr?: string }) => {
    throw new Plain(`The restore did not work; nothing was changed. ${(error.stderr ?? '').trim().split('\n')[0]}`)
  })
  await migrateToNewest(ownerUrl(into), APP_USER).catch((error: Error) => {
    throw new Plain(`${error.message} Nothing was changed here.`)
  })
  const gaps = await withDatabase(ownerUrl(into), db =>
    db.execute(sql`select 1 from job j where last_seq <> (select count(*) from entry e where e.job_id = j.id)`),
  )
  if (gaps.length)
    throw new Plain(`${gaps.length} jobs in it have gaps in their ledger: the backup is damaged. Nothing was changed.`)
  const lost = await withDatabase(ownerUrl(into), db =>
    db.execute(sql`
      select sha256 from picture_file where encode(sha256(whole), 'hex') <> kept_sha256
      union select payload->>'sha256' from entry where kind = 'photo.arrived'
      except select sha256 from picture_file where encode(sha256(whole), 'hex') = kept_sha256`),
  )
  if (lost.length)
    throw new Plain(
      `${lost.length} photographs in it are missing or not what they were: the backup is damaged. Nothing was changed.`,
    )
}

async function checkEmpty(name: string): Promise<void> {
  const tables = await withDatabase(ownerUrl(name), db =>
    db.execute(sql`select 1 from information_schema.tables where table_schema = 'public'`),
  )
  if (tables.length) throw new Plain(`The database ${name} is not empty. Restore into a new one: --into NAME.`)
}

export default defineCommand({
  meta: { name: 'restore', description: 'load a backup into an empty database' },
  args: {
    file: { type: 'positional', description: 'a file that ./needler backup made', required: true },
    into: { type: 'string', description: "an empty or new database; the site's own unless told", default: SITE },
  },
  async run({ args: { file: named, into } }) {
    const file = fromHere(named)
    if (!existsSync(file)) throw new Plain(`There is no file ${file}.`)
    await postgres('pg_restore', ['--list', file]).catch(() => {
      throw new Plain(`${file} is not a backup made by ./needler backup.`)
    })
    const isThere = await databaseExists(into)
    if (isThere) await checkEmpty(into)
    // Made beside its place and put there when it is whole.
    const making = `${into}_restoring`.slice(-50)
    await dropDatabase(making)
    try {
      await load(file, making)
      if (isThere) await dropDatabase(into)
      await renameDatabase(making, into)
    } catch (error) {
      await dropDatabase(making)
      throw error
    }
    say(
      `Restored ${contentsWords(into, await contentsOf(into))}; every ledger is without a gap, every photograph as it came. Serve it: ./needler serve${into === SITE ? '' : ` --database ${into}`}`,
    )
  },
})
