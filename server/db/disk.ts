import { statfs } from 'node:fs/promises'

/** Less than this and PostgreSQL cannot go on: one piece of its log (`wal_segment_size`), bytes. */
const LEAST = 16 * 1024 * 1024

/**
 * That the disk of the database is full, naming it; null while there is room. The command says in NEEDLER_DATA where the
 * database lies.
 * @param isSaid the database itself said so: then it is, though by now somebody may have made room
 */
export async function diskWords(isSaid: boolean, folder = process.env.NEEDLER_DATA): Promise<string | null> {
  if (!folder) return isSaid ? 'The disk that holds the database is full. Make room on it.' : null
  const disk = await statfs(folder).catch(() => null)
  const free = disk ? disk.bavail * disk.bsize : null
  if (!isSaid && (free === null || free >= LEAST)) return null
  const left = free === null ? '' : ` (${Math.floor(free / 1024 / 1024)} MB left)`
  return `The disk that holds the database, at ${folder}, is full${left}. Make room on it.`
}
