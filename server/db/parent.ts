import { v7 as uuid } from 'uuid'
import type { Plan } from '../../core/sheet/index.ts'
import { isKind, leftBy, planIn, type AnyEntry, type EntryKind, type JobState } from '../../core/job/index.ts'
import type { SentEntry } from '../../shared/answers.ts'
import { digestOf } from './canonical.ts'

/** An entry that the server writes itself, with something else that was done. */
export function ownEntry(kind: EntryKind, payload: object, madeAt: string): SentEntry {
  const id = uuid()
  return { id, act: id, kind, payload, madeAt } as SentEntry
}

/**
 * What a job says to the one that its part came off, where it ends with what was just added: that it is signed, with the
 * digest of its ledger and what was read as it was built up, or given up. Null where it comes from none, or does not end.
 */
export function wordToParent(
  job: string,
  ledger: readonly AnyEntry[],
  fresh: readonly AnyEntry[],
  opened: Plan,
  state: JobState,
): { parent: string; entry: SentEntry } | null {
  const parent = state.opened?.payload.parent
  if (!parent) return null
  const { part } = parent
  for (const end of fresh) {
    if (isKind(end, 'job.signed')) {
      const left = leftBy(planIn(opened, state), state)
      const said = { part, job, digest: digestOf(ledger, end.seq!), cured: end.payload.cured, left }
      return { parent: parent.job, entry: ownEntry('child.returned', said, end.receivedAt!) }
    }
    if (isKind(end, 'job.cancelled'))
      return {
        parent: parent.job,
        entry: ownEntry('child.cancelled', { part, job, why: end.payload.why }, end.receivedAt!),
      }
  }
  return null
}
