import { endStreams } from '../live/changes.ts'

/** What is in hand gets so long to end when the server is told to stop, ms. */
const LONGEST_MS = '2000'
const SIGNALS = ['SIGTERM', 'SIGINT', 'SIGHUP'] as const

/** Told to stop, it stops at once: streams are ended, what is in hand is finished. It also stops when whoever started it is gone. */
export default defineNitroPlugin(() => {
  process.env.NITRO_SHUTDOWN_TIMEOUT ??= LONGEST_MS
  process.env.NITRO_SHUTDOWN_SIGNALS ??= SIGNALS.join(' ')
  for (const signal of SIGNALS) process.once(signal, endStreams)
  process.once('disconnect', () => process.kill(process.pid, 'SIGTERM'))
})
