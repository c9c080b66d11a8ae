import { pino } from 'pino'

let made: pino.Logger | undefined

/** One line of JSON an event, on standard error; never a payload, a PIN or a name. NEEDLER_LOG says how much. */
export const log = (): pino.Logger =>
  (made ??= pino(
    { level: process.env.NEEDLER_LOG ?? 'info', base: null, timestamp: pino.stdTimeFunctions.isoTime },
    process.stderr,
  ))

/** What went wrong, without what was being done: a query's own values never reach the log. */
export function plainError(error: unknown): Record<string, unknown> {
  const { name, message = String(error), stack = '', code, cause } = error as Error & { code?: string }
  if (cause) return plainError(cause)
  const places = stack
    .split('\n')
    .filter(line => /^\s+at /.test(line))
    .slice(0, 6)
    .map(line => line.trim())
  return { name, code, message: message.split('\nparams:')[0]!.slice(0, 200), places }
}
