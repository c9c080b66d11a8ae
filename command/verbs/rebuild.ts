import { defineCommand } from 'citty'
import { rebuildProjections } from '../../server/db/rebuild.ts'
import { appUrl, contentsWords, databaseArg, filledDatabase, withDatabase } from '../place.ts'
import { Plain, say } from '../plain.ts'

export default defineCommand({
  meta: { name: 'rebuild', description: 'make the projections anew from the ledger; safe while serving' },
  args: {
    ...databaseArg,
    machine: { type: 'string', description: 'the tag of the one machine that is meant, its sub-assemblies with it' },
  },
  async run({ args }) {
    const contents = await filledDatabase(args.database)
    const { jobs, entries, altered } = await withDatabase(appUrl(args.database), db =>
      rebuildProjections(db, args.machine),
    )
    if (args.machine && !jobs) throw new Plain(`No job was ever opened on a machine ${args.machine}.`)
    say(`${contentsWords(args.database, contents)}: ${jobs} jobs projected anew from ${entries} entries.`)
    if (altered.length)
      throw new Plain(
        `The ledger of job ${altered.join(', ')} is not the one that the job it belongs to was told of as it was signed: somebody wrote in the database itself. Restore a backup from before beside it and compare the two.`,
      )
  },
})
