import { clearOldAttempts } from '../db/attempts.ts'
import { database } from '../db/client.ts'
import { clearDead } from '../db/devices.ts'
import { log, plainError } from '../http/log.ts'

const EVERY_MS = 6 * 3600 * 1000
const AT_FIRST_MS = 60_000

/** What is over for long is cleared away now and then: sessions, devices nobody uses, old wrong PINs. */
export default defineNitroPlugin(nitro => {
  const clear = () =>
    void Promise.all([clearDead(database()), clearOldAttempts(database())]).catch(error =>
      log().warn({ err: plainError(error) }, 'what is long over could not be cleared away'),
    )
  const timers = [setTimeout(clear, AT_FIRST_MS), setInterval(clear, EVERY_MS)]
  for (const timer of timers) timer.unref()
  nitro.hooks.hook('close', () => timers.forEach(timer => clearTimeout(timer)))
})
