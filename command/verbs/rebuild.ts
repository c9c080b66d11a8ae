import { defineCommand } from 'citty'
import { rebuildProjections } from '../../server/db/rebuild.ts'
import { appUrl, contentsWords, databaseArg, filledDatabase, withDatabase } from '../place.ts'
import { say } from '../plain.ts'

export default defineCommand({
  meta: { name: 'rebuild', description: 'make the projections anew from the ledger; safe while serving' },
  args: databaseArg,
  async run({ args }) {
    const contents = await filledDatabase(args.database)
    const { jobs, entries } = await withDatabase(appUrl(args.database), rebuildProjections)
    say(`${contentsWords(args.database, contents)}: ${jobs} jobs projected anew from ${entries} entries.`)
  },
})
