import { createHash } from 'node:crypto'
import { setTimeout } from 'node:timers/promises'
import { sql } from 'drizzle-orm'
import { connectTo } from '../../server/db/client.ts'
import { rebuildProjections } from '../../server/db/rebuild.ts'
import type { OpenJob } from '../../shared/answers.ts'
import type { SignedIn } from '../api/server.ts'
import { asked, note } from '../load/crowd.ts'

/** Clients that write into jobs as pages do: what is not acknowledged is sent again, with the same number. */
export interface Storm {
  /** Numbers of entries that the server said it had kept. */
  acknowledged: Set<string>
  /** When the last answer but a good one came, and the last good one, ms. */
  lastGood: () => number
  refusals: Map<string, number>
  stop: () => Promise<void>
}

export function storm(by: SignedIn, jobs: OpenJob[], clients: number): Storm {
  const acknowledged = new Set<string>()
  const refusals = new Map<string, number>()
  let isOver = false
  let lastGood = 0
  async function client(i: number): Promise<void> {
    const job = jobs[i % jobs.length]!.id
    while (!isOver) {
      const one = note(`storm ${i}`)
      for (;;) {
        try {
          await asked(by, `/api/jobs/${job}/entries`, one)
          acknowledged.add(one.id)
          lastGood = performance.now()
          break
        } catch (error) {
          const why =
            (error as Error).message.match(/: (\d{3}) /)?.[1] ?? (error as { code?: string }).code ?? 'no answer'
          refusals.set(why, (refusals.get(why) ?? 0) + 1)
          if (isOver) return
          await setTimeout(100)
        }
      }
    }
  }
  const all = Promise.all(Array.from({ length: clients }, (_, i) => client(i)))
  return {
    acknowledged,
    refusals,
    lastGood: () => lastGood,
    stop: async () => {
      isOver = true
      await all
    },
  }
}

/** What a ledger looks like after a storm, and whether the projections are what a rebuild makes of it. */
export interface Found {
  acknowledged: number
  lost: number
  doubled: number
  gaps: number
  projections: 'equal a rebuild' | 'differ from a rebuild'
}

const TABLES = ['reading', 'fitted_part', 'stock_movement', 'equipment_state', 'job']

export async function whatIsThere(ownerUrl: string, acknowledged: ReadonlySet<string>): Promise<Found> {
  const { db, end } = connectTo(ownerUrl, 2)
  try {
    const rows = await db.execute<{ id: string }>(sql`select id from entry`)
    const there = new Map<string, number>()
    for (const { id } of rows) there.set(id, (there.get(id) ?? 0) + 1)
    const [gap] = await db.execute<{ gaps: number }>(sql`
      select (select count(*)::int from (select job_id from entry group by job_id having max(seq) <> count(*) or min(seq) <> 1) as holes)
           + (select count(*)::int from job where last_seq <> (select coalesce(max(seq), 0) from entry where job_id = job.id)) as gaps`)
    const digest = async () => {
      const hash = createHash('sha256')
      for (const table of TABLES) {
        const [row] = await db.execute<{ all: string }>(
          sql`select coalesce(string_agg(one::text, '' order by one::text), '') as all from ${sql.identifier(table)} one`,
        )
        hash.update(row!.all)
      }
      return hash.digest('hex')
    }
    const before = await digest()
    await rebuildProjections(db)
    return {
      acknowledged: acknowledged.size,
      lost: [...acknowledged].filter(id => !there.has(id)).length,
      doubled: [...there.values()].filter(count => count > 1).length,
      gaps: gap!.gaps,
      projections: before === (await digest()) ? 'equal a rebuild' : 'differ from a rebuild',
    }
  } finally {
    await end()
  }
}
