import { existsSync } from 'node:fs'
import { defineCommand } from 'citty'
import { sql } from 'drizzle-orm'
import { migrateToNewest } from '../../server/db/migrate.ts'
import {
  APP_USER,
  contentsOf,
  contentsWords,
  createDatabase,
  fromHere,
  ownerUrl,
  postgres,
  SITE,
  withDatabase,
} from '../place.ts'
import { Plain, say } from '../plain.ts'

export default defineCommand({
  meta: { name: 'restore', description: 'load a backup into an empty database' },
  args: {
    file: { type: 'positional', description: 'a file that ./needler backup made', required: true },
    into: { type: 'string', description: "an empty or new database; the site's own unless told", default: SITE },
  },
  async run({ args }) {
    const file = fromHere(args.file)
    if (!existsSync(file)) throw new Plain(`There is no file ${file}.`)
    await postgres('pg_restore', ['--list', file]).catch(() => {
      throw new Plain(`${file} is not a backup made by ./needler backup.`)
    })
    await createDatabase(args.into)
    await withDatabase(ownerUrl(args.into), async db => {
      const tables = await db.execute(sql`select 1 from information_schema.tables where table_schema = 'public'`)
      if (tables.length) throw new Plain(`The database ${args.into} is not empty. Restore into a new one: --into NAME.`)
    })
    await postgres('pg_restore', [
      '-d',
      ownerUrl(args.into),
      '--no-owner',
      '--no-privileges',
      '--exit-on-error',
      '--single-transaction',
      file,
    ]).catch((error: { stderr?: string }) => {
      throw new Plain(`The restore did not work; nothing was changed. ${(error.stderr ?? '').trim().split('\n')[0]}`)
    })
    await migrateToNewest(ownerUrl(args.into), APP_USER)
    const gaps = await withDatabase(ownerUrl(args.into), db =>
      db.execute(sql`select 1 from job j where last_seq <> (select count(*) from entry e where e.job_id = j.id)`),
    )
    if (gaps.length)
      throw new Plain(`Restored, but ${gaps.length} jobs have gaps in their ledger. The backup is damaged.`)
    say(
      `Restored ${contentsWords(args.into, await contentsOf(args.into))}; every ledger is without a gap. Serve it: ./needler serve${args.into === SITE ? '' : ` --database ${args.into}`}`,
    )
  },
})
