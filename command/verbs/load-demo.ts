import { defineCommand } from 'citty'
import { loadThornmere } from '../../demo/load.ts'
import { appUrl, DEMO, withDatabase } from '../place.ts'
import { say } from '../plain.ts'
import { alone, howFar, makeReady } from '../prepare.ts'

export default defineCommand({
  meta: { name: 'load-demo', description: 'load the demo data into a database and serve nothing', hidden: true },
  args: { database: { type: 'string', description: 'which database', default: DEMO } },
  async run({ args }) {
    const isNew = await alone(async () => {
      await makeReady(args.database)
      return withDatabase(appUrl(args.database), db => loadThornmere(db, howFar('overhauls')))
    })
    say(isNew ? `Loaded into ${args.database}.` : `${args.database} holds data already; nothing was loaded.`)
  },
})
