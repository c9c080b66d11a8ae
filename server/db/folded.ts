import {
  emptyFold,
  extend,
  fold,
  planIn,
  projectJob,
  type AnyEntry,
  type Folded,
  type Projection,
} from '../../core/job/index.ts'
import type { Plan } from '../../core/sheet/index.ts'

/** A job as it stood at one place in its ledger. */
export interface Kept {
  /** The plan it was opened with. */
  plan: Plan
  folded: Folded
  seq: number
  /** What the fleet's tables hold of it; null where that is not known for sure. */
  projected: Projection | null
}

/** Ledgers that are kept at hand hold no more entries than this, all together. */
const MOST_ENTRIES = 120_000

/**
 * Jobs folded already, so that an append reads only what came after. It may be thrown away at any time, and is never
 * trusted over the sequence number in the row that an append has locked.
 */
export class FoldedJobs {
  private readonly jobs = new Map<string, Kept>()
  private entries = 0

  /**
   * The job at its row's sequence number, or beyond where more was committed while it was read; `read` gets the entries
   * after a number, in order.
   */
  async at(
    job: { id: string; lastSeq: number },
    plan: Plan,
    read: (after: number) => Promise<AnyEntry[]>,
  ): Promise<Kept> {
    const known = this.jobs.get(job.id)
    if (known?.seq === job.lastSeq) return known
    if (known && known.seq < job.lastSeq) {
      const more = await read(known.seq)
      const seq = more.at(-1)?.seq ?? 0
      // What another process wrote since; its tables are its own to have written.
      if (more[0]?.seq === known.seq + 1 && seq >= job.lastSeq)
        return { plan, folded: extend(plan, known.folded, more), seq, projected: null }
    }
    this.forget(job.id)
    const entries = await read(0)
    const folded = entries.length ? { entries, state: fold(plan, entries) } : emptyFold()
    return { plan, folded, seq: entries.at(-1)?.seq ?? 0, projected: null }
  }

  /** The job as it is kept. */
  known(id: string): Kept | undefined {
    return this.jobs.get(id)
  }

  /** The job as it is kept, where it is not behind a sequence number: for who reads, and locks nothing. */
  notBehind(job: { id: string; lastSeq: number }): Kept | null {
    const known = this.jobs.get(job.id)
    return known && known.seq >= job.lastSeq ? known : null
  }

  /** Keeps a job once what it stands on is committed; the longest unused go first. */
  remember(id: string, kept: Kept): void {
    this.forget(id)
    this.jobs.set(id, kept)
    this.entries += kept.folded.entries.length
    for (const [oldest] of this.jobs) {
      if (this.entries <= MOST_ENTRIES || oldest === id) break
      this.forget(oldest)
    }
  }

  forgetAll(): void {
    this.jobs.clear()
    this.entries = 0
  }

  forget(id: string): void {
    this.entries -= this.jobs.get(id)?.folded.entries.length ?? 0
    this.jobs.delete(id)
  }
}

/** The jobs of this process. */
export const JOBS = new FoldedJobs()

/** Nothing that was known of the database holds any more: it may be another, or the same from a backup. */
export const forgetJobs = () => JOBS.forgetAll()

/** What the fleet asks of a job as it stands. */
export const projectionOf = ({ plan, folded }: Pick<Kept, 'plan' | 'folded'>): Projection =>
  projectJob(planIn(plan, folded.state), folded.state)
