import { eq } from 'drizzle-orm'
import type { SiteSettings } from '../../shared/answers.ts'
import type { Database, Transaction } from './client.ts'
import { site } from './schema.ts'

/** How the ledger is written by this version. */
export const LEDGER_FORMAT = 8

const UNNAMED = { name: 'This site', pinLength: 6, codeHash: null, backupsKept: 0, ledgerFormat: LEDGER_FORMAT }

type SiteRow = typeof site.$inferSelect

/** The site's own row; what a new site says while it has none. */
export async function siteOf(db: Database | Transaction): Promise<Omit<SiteRow, 'id'>> {
  const [row] = await db.select().from(site)
  return row ?? UNNAMED
}

export async function changeSite(
  db: Database | Transaction,
  change: Partial<Pick<SiteRow, 'name' | 'pinLength' | 'codeHash' | 'backupsKept'>>,
): Promise<SiteSettings> {
  await db
    .insert(site)
    .values({ ...UNNAMED, id: 1 })
    .onConflictDoNothing()
  const [row] = await db
    .update(site)
    .set({ ...change, ledgerFormat: LEDGER_FORMAT })
    .where(eq(site.id, 1))
    .returning()
  return settingsOf(row!)
}

export const settingsOf = ({ name, pinLength, codeHash, backupsKept }: Omit<SiteRow, 'id'>): SiteSettings => ({
  name,
  pinLength,
  asksCode: codeHash !== null,
  backupsKept,
})
