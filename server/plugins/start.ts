import { config } from '../config.ts'
import { database, disconnect } from '../db/client.ts'
import { readiness } from '../db/migrate.ts'
import { closeDesks } from '../heavy/desk.ts'
import { log } from '../http/log.ts'
import { pulse } from '../live/pulse.ts'

/** Nothing is served before the configuration is sound and the database is one that this version reads. */
export default defineNitroPlugin(nitro => {
  const stop = (why: string) => {
    process.stderr.write(`\n✕ ${why}\n`)
    process.exit(1)
  }
  try {
    config()
  } catch (error) {
    stop((error as Error).message)
  }
  const ready = readiness(database()).then(
    why => why && stop(why),
    (error: Error) => {
      log().fatal({ err: error.message }, 'the database does not answer')
      stop(`The database does not answer: ${error.message}`)
    },
  )
  nitro.hooks.hook('request', () => ready.then(() => {}))
  void ready.then(() => pulse().start())
  pulse().onChange(how => log().warn(how === 'away' ? 'the database is away' : 'the database is back'))
  nitro.hooks.hook('close', async () => {
    pulse().stop()
    await Promise.all([disconnect(), closeDesks()])
  })
})
