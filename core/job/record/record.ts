import type { LengthSystem } from '../../quantity/index.ts'
import type { Plan } from '../../sheet/index.ts'
import { fold } from '../fold.ts'
import { actOf, SECTIONS, type Sections } from '../kinds.ts'
import { clockOf, timeOf, type AnyEntry } from '../ledger/entry.ts'
import type { RecordScene, Section, Signed } from '../ledger/section.ts'
import { allSaid } from '../ledger/seen.ts'
import type { JobState } from '../ledger/state.ts'
import { checkResults } from '../measuring/results.ts'
import { planIn } from '../switching.ts'

/** A job as it is handed over and printed: everything that was done, found, measured and decided, by whom and when. */
export type JobRecord = {
  title: string
  notice: string
  complaint: string
  signed: (Signed & { cured: string; cause: string }) | null
  cancelled: (Signed & { why: string }) | null
} & { [K in keyof Sections]: Sections[K] extends Section<infer R> ? R[] : never }

/** What the record is made from; `state` is that of the whole ledger. */
function sceneOf(
  opened: Plan,
  entries: readonly AnyEntry[],
  state: JobState,
  names: ReadonlyMap<string, string>,
  system: LengthSystem,
): RecordScene {
  const plan = planIn(opened, state)
  const byId = new Map(entries.map(one => [one.id, one]))
  const who = (id: string) => names.get(id) ?? 'somebody no longer here'
  const doer = (id: string, entry: AnyEntry | undefined) =>
    entry?.vouchedBy ? `${who(id)} (vouched for by ${who(entry.vouchedBy)})` : who(id)
  const clock = (entry: AnyEntry | undefined): Signed['clock'] => {
    const at = entry ? clockOf(entry) : 'live'
    return at === 'live' ? '' : at
  }
  return {
    ...{ plan, state, entries, byId, system, who },
    results: checkResults(plan, state),
    by: stamp => {
      if (!stamp) return { who: '', role: '', when: '', clock: '' }
      const entry = byId.get(stamp.entry)
      return { who: doer(stamp.by, entry), role: stamp.role, when: stamp.at, clock: clock(entry) }
    },
    byEntry: entry => ({
      who: doer(entry.madeBy, entry),
      role: entry.role,
      when: timeOf(entry),
      clock: clock(entry),
    }),
    words: entry => entryWords(plan, entry),
    unseen: (said, words) =>
      allSaid(said)
        .slice(1)
        .map(one => `${who(one.by)}, not having seen this: ${words(one)}`),
  }
}

/**
 * The record of a job, from its sheet and ledger.
 * @param names who is who; somebody who is on no list any more keeps their act
 * @param system how lengths are shown
 * @param state that of the whole ledger, for whoever has folded it already
 */
export function recordOf(
  opened: Plan,
  entries: readonly AnyEntry[],
  names: ReadonlyMap<string, string>,
  system: LengthSystem = 'mm',
  state: JobState = fold(opened, entries),
): JobRecord {
  const scene = sceneOf(opened, entries, state, names, system)
  const { sheet } = scene.plan
  const { signed, cancelled } = state
  const sections = Object.entries(SECTIONS).map(([name, section]) => [name, section.rows(scene)])
  return {
    title: sheet.title,
    notice: sheet.notice,
    complaint: state.opened?.payload.complaint ?? '',
    signed: signed && { ...scene.by(signed), cured: signed.cured, cause: signed.cause ?? '' },
    cancelled: cancelled && { ...scene.by(cancelled), why: cancelled.why },
    ...Object.fromEntries(sections),
  } as JobRecord
}

/** One line on an entry, for lists of what was done. */
export function entryWords(plan: Plan, entry: AnyEntry | undefined): string {
  if (!entry) return 'an entry'
  return actOf(entry)?.words(plan, entry.payload) ?? 'An act of a newer version'
}
