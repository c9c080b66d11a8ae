import { defineCommand } from 'citty'
import { loadThornmere } from '../../demo/load.ts'
import { PEOPLE } from '../../demo/thornmere.ts'
import { appUrl, DEMO, dropDatabase, withDatabase } from '../place.ts'
import { say } from '../plain.ts'
import { alone, howFar, makeReady } from '../prepare.ts'
import { serveUntilStopped } from '../server.ts'

export default defineCommand({
  meta: { name: 'demo', description: 'start with the Thornmere demo data' },
  args: { fresh: { type: 'boolean', description: 'start the demo over: what was done in it is lost' } },
  async run({ args }) {
    await alone(async () => {
      if (args.fresh) {
        say('· starting the demo over')
        await dropDatabase(DEMO)
      }
      await makeReady(DEMO)
      say('· loading the Thornmere demo data, where it is not there yet')
      await withDatabase(appUrl(DEMO), db => loadThornmere(db, howFar('overhauls')))
    })
    await serveUntilStopped(DEMO, 'demo', () => {
      say('\nWho can sign in:')
      for (const { name, role, pin } of PEOPLE) say(`  ${name.padEnd(12)} ${role.padEnd(8)} PIN ${pin}`)
    })
  },
})
