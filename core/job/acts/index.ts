import type { ActKind } from '../ledger/act.ts'
import type { AnyEntry } from '../ledger/entry.ts'
import { addendumWritten } from './addendum-written.ts'
import { itemPlaced } from './item-placed.ts'
import { itemRemoved } from './item-removed.ts'
import { boltPulled } from './bolt-pulled.ts'
import { boltEased } from './bolt-eased.ts'
import { cautionRead } from './caution-read.ts'
import { concessionGiven } from './concession-given.ts'
import { entryCorrected } from './entry-corrected.ts'
import { evidenceLost } from './evidence-lost.ts'
import { holdSigned } from './hold-signed.ts'
import { jobCancelled } from './job-cancelled.ts'
import { jobOpened } from './job-opened.ts'
import { jobSigned } from './job-signed.ts'
import { jointLocked } from './joint-locked.ts'
import { jointSlackened } from './joint-slackened.ts'
import { lubricantApplied } from './lubricant-applied.ts'
import { markMade } from './mark-made.ts'
import { mateAnswered } from './mate-answered.ts'
import { noteWritten } from './note-written.ts'
import { partBagged } from './part-bagged.ts'
import { partDecided } from './part-decided.ts'
import { partLifted } from './part-lifted.ts'
import { partObserved } from './part-observed.ts'
import { partRefitted } from './part-refitted.ts'
import { partRenewed } from './part-renewed.ts'
import { partReturned } from './part-returned.ts'
import { partTagged } from './part-tagged.ts'
import { piecesCounted } from './pieces-counted.ts'
import { readingTaken } from './reading-taken.ts'
import { partSettled } from './part-settled.ts'
import { partTried } from './part-tried.ts'
import { roundBegun } from './round-begun.ts'
import { roundVoided } from './round-voided.ts'
import { stepDone } from './step-done.ts'
import { stepSkipped } from './step-skipped.ts'
import { troubleCleared } from './trouble-cleared.ts'
import { troubleMet } from './trouble-met.ts'
import { variantChanged } from './variant-changed.ts'

/** Every kind of entry; a new one is a file and a line here. */
export const ACTS = {
  'job.opened': jobOpened,
  'variant.changed': variantChanged,
  'caution.read': cautionRead,
  'step.done': stepDone,
  'step.skipped': stepSkipped,
  'evidence.lost': evidenceLost,
  'mark.made': markMade,
  'part.lifted': partLifted,
  'part.bagged': partBagged,
  'part.tagged': partTagged,
  'part.observed': partObserved,
  'part.decided': partDecided,
  'part.renewed': partRenewed,
  'part.returned': partReturned,
  'part.settled': partSettled,
  'part.refitted': partRefitted,
  'pieces.counted': piecesCounted,
  'mate.answered': mateAnswered,
  'reading.taken': readingTaken,
  'round.begun': roundBegun,
  'round.voided': roundVoided,
  'part.tried': partTried,
  'item.placed': itemPlaced,
  'item.removed': itemRemoved,
  'trouble.met': troubleMet,
  'trouble.cleared': troubleCleared,
  'lubricant.applied': lubricantApplied,
  'bolt.pulled': boltPulled,
  'bolt.eased': boltEased,
  'joint.slackened': jointSlackened,
  'joint.locked': jointLocked,
  'hold.signed': holdSigned,
  'concession.given': concessionGiven,
  'note.written': noteWritten,
  'entry.corrected': entryCorrected,
  'job.signed': jobSigned,
  'job.cancelled': jobCancelled,
  'addendum.written': addendumWritten,
}

/** The act of an entry, for reading it; null for a kind that is not known here. */
export const actOf = (entry: Pick<AnyEntry, 'kind'>): ActKind<AnyEntry['payload']> | null =>
  Object.hasOwn(ACTS, entry.kind) ? (ACTS[entry.kind] as unknown as ActKind<AnyEntry['payload']>) : null
