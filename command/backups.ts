import { chmod, mkdir, readdir, rm, stat } from 'node:fs/promises'
import { dirname, resolve } from 'node:path'
import { siteOf } from '../server/db/site.ts'
import { log } from '../server/http/log.ts'
import { appUrl, asOwnerOf, postgres, statePath, withDatabase } from './place.ts'
import { Plain } from './plain.ts'

const lastWords = (error: unknown) =>
  ((error as { stderr?: string }).stderr || (error as Error).message).trim().split('\n').slice(-2).join(' ')

/** Who is signed in, and who guessed at PINs, is nothing to keep. */
const LEFT_OUT = ['session', 'pin_attempt', 'request_limit'].map(table => `--exclude-table-data=public.${table}`)

/** Writes a database to a file that only its owner reads, and reads the whole of it back. Its size in bytes. */
export async function writeBackup(database: string, file: string): Promise<number> {
  await mkdir(dirname(file), { recursive: true })
  const mask = process.umask(0o077)
  try {
    await postgres('pg_dump', ['-Fc', ...LEFT_OUT, '-f', file, ...asOwnerOf(database)])
    await chmod(file, 0o600)
    await postgres('pg_restore', ['-f', '/dev/null', file])
  } catch (error) {
    await rm(file, { force: true })
    throw new Plain(
      `The backup did not work: ${lastWords(error)}. Check that ${file} can be written and that there is room.`,
    )
  } finally {
    process.umask(mask)
  }
  return (await stat(file)).size
}

/** Names of nightly backups that go, so that the newest ones stay. Names carry their day, so they sort by age. */
export const tooOld = (names: readonly string[], kept: number): string[] =>
  names.toSorted().slice(0, Math.max(0, names.length - kept))

const dayOf = (now: Date) => now.toISOString().slice(0, 10)
const isNight = (now: Date) => now.getHours() >= 2 && now.getHours() < 5

/** Makes tonight's backup where the site wants one and it is not there yet; the file, or null. */
export async function backupTonight(database: string, now: Date): Promise<string | null> {
  const { backupsKept } = await withDatabase(appUrl(database), siteOf)
  if (!backupsKept || !isNight(now)) return null
  const folder = statePath('backups')
  await mkdir(folder, { recursive: true })
  const mine = async () => (await readdir(folder)).filter(name => name.startsWith(`${database}-`))
  const name = `${database}-${dayOf(now)}.dump`
  if ((await mine()).includes(name)) return null
  await writeBackup(database, resolve(folder, name))
  for (const old of tooOld(await mine(), backupsKept)) await rm(resolve(folder, old))
  return resolve(folder, name)
}

/** Looks every ten minutes whether a backup is due; a night that fails is said in the log and tried again. */
export function keepNightly(database: string): () => void {
  const look = () =>
    backupTonight(database, new Date()).then(
      file => file && log().info({ file }, 'nightly backup'),
      (error: Error) => log().error({ err: error.message }, 'the nightly backup did not work'),
    )
  const timer = setInterval(look, 10 * 60_000)
  return () => clearInterval(timer)
}
