import { defineCommand } from 'citty'
import { keepNightly } from '../backups.ts'
import { databaseArg } from '../place.ts'
import { alone, prepare, welcome } from '../prepare.ts'
import { serveUntilStopped } from '../server.ts'

export default defineCommand({
  meta: { name: 'serve', description: 'start the site, without demo data; PORT and HOST choose the address' },
  args: {
    ...databaseArg,
    cert: { type: 'string', description: 'certificate for https, a PEM file' },
    key: { type: 'string', description: 'its key, a PEM file' },
  },
  async run({ args }) {
    await alone(async () => {
      await prepare(args.database)
      await welcome(args.database)
    })
    const stop = keepNightly(args.database)
    await serveUntilStopped(args.database, 'serve', () => {}, args).finally(stop)
  },
})
