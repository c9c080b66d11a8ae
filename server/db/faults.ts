import { refusalsAbout, type Refusal } from '../../core/refusal.ts'
import { diskWords } from './disk.ts'

/** What a fault of the database means for whoever asked. */
export interface DatabaseFault {
  status: 503 | 507
  refusal: Refusal
}

const KEPT = 'What you typed is kept on this device and goes out by itself once that is over.'

const refusals = refusalsAbout('database', {
  away: () => `The server does not reach its database just now. ${KEPT}`,
  slow: () => `The database takes too long to answer just now. ${KEPT}`,
  full: ({ disk }: { disk: string }) => `${disk} ${KEPT}`,
})

/** By the codes of PostgreSQL (appendix A of its manual), of its client and of the system. */
const MEANS: [RegExp, 'away' | 'slow' | 'full'][] = [
  [/^(CONNECT|ECONN|EPIPE|ENOTFOUND|EHOSTUNREACH|ENETUNREACH|ETIMEDOUT)/, 'away'],
  [/^08/, 'away'],
  // Shut down by an administrator, after a crash, starting up; too many connections.
  [/^57P0[1-3]$|^53300$/, 'away'],
  [/^(57014|55P03|25P03|40P01)$/, 'slow'],
  [/^53100$/, 'full'],
]

/** The codes of an error and of what caused it, outermost first. */
function codesOf(error: unknown): string[] {
  if (!error || typeof error !== 'object') return []
  const { code, cause, message } = error as { code?: unknown; cause?: unknown; message?: unknown }
  const said = typeof message === 'string' && message.includes('No space left on device') ? ['53100'] : []
  return [...said, ...(typeof code === 'string' ? [code] : []), ...codesOf(cause)]
}

/** How the client and the system say that a connection which stood is no more. */
const HUNG_UP = /^(CONNECTION_|ECONN|EPIPE|ETIMEDOUT)/
export const isHungUp = (error: unknown): boolean => codesOf(error).some(code => HUNG_UP.test(code))

/** What kind of fault of the database an error is; null when it is none of these. */
export function databaseFault(error: unknown): 'away' | 'slow' | 'full' | null {
  for (const code of codesOf(error)) {
    const found = MEANS.find(([pattern]) => pattern.test(code))
    if (found) return found[1]
  }
  return null
}

/** What is said of a fault of the database; a full disk is said as that, whatever came of it. Null when it is no such fault. */
export async function faultSaid(error: unknown): Promise<DatabaseFault | null> {
  const kind = databaseFault(error)
  return kind && said(kind)
}

async function said(kind: 'away' | 'slow' | 'full'): Promise<DatabaseFault> {
  const disk = await diskWords(kind === 'full')
  return disk
    ? { status: 507, refusal: refusals.full({ disk }) }
    : { status: 503, refusal: kind === 'slow' ? refusals.slow() : refusals.away() }
}

/** That the database is not there, or that its disk is full. */
export const awayFault = (): Promise<DatabaseFault> => said('away')
