import { diskWords } from './disk.ts'

/** What a fault of the database means for whoever asked: a status and a sentence. */
export interface DatabaseFault {
  status: 503 | 507
  why: string
}

const KEPT = 'What you typed is kept on this device and goes out by itself once that is over.'

const AWAY = `The server does not reach its database just now. ${KEPT}`
const SLOW = `The database takes too long to answer just now. ${KEPT}`

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

/** A fault of the database in words; a full disk is said as that, whatever came of it. Null when it is no such fault. */
export async function faultWords(error: unknown): Promise<DatabaseFault | null> {
  const kind = databaseFault(error)
  if (!kind) return null
  return inWords(kind)
}

async function inWords(kind: 'away' | 'slow' | 'full'): Promise<DatabaseFault> {
  const full = await diskWords(kind === 'full')
  return full ? { status: 507, why: `${full} ${KEPT}` } : { status: 503, why: kind === 'slow' ? SLOW : AWAY }
}

/** That the database is not there, or that its disk is full. */
export const awayWords = (): Promise<DatabaseFault> => inWords('away')
