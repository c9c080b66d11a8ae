import { MOMENTS, readingKey, type MayGiveUp, type Moment, type Plan } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { refusalsAbout } from '../../refusal.ts'
import { HANDS } from '../ledger/roles.ts'
import { by, section, text } from '../ledger/section.ts'
import { choice, id, optional, why, type Shaped } from '../ledger/shape.ts'
import { stamped, type JobState, type Stamp } from '../ledger/state.ts'
import { checkResults } from '../measuring/results.ts'
import { keyOf, type OwedId } from '../owed/id.ts'
import { standingLook } from '../parts/looks.ts'
import { isUnproved } from '../parts/voided.ts'
import { isLostToSafety } from '../parts/wanted.ts'
import { owes as looks } from './looks.ts'
import { owes as marks } from './marks.ts'
import { owes as readings } from './readings.ts'
import { unknown } from './sense.ts'

/** A reading, a mark or a look that cannot be had any more, given up with the reason. */

const refusals = refusalsAbout('evidence', {
  oneThing: () => 'Say which reading, at which moment, which mark or which look at a part cannot be had: one of them.',
  there: ({ what }: { what: string }) => `${what}: that is there. Correct it instead, with the reason.`,
  mayNot: ({ what }: { what: string }) =>
    `${what} may not be given up: this machine's sheet does not allow it. Take it, or ask a lead to accept it in writing.`,
  unproved: ({ what }: { what: string }) => `${what}: it failed, and is put right. Measure it again.`,
  leadOnly: ({ what }: { what: string }) => `${what} is given up by a lead only. Ask one to do it.`,
})

const shape = {
  check: optional(id),
  moment: optional(choice(MOMENTS)),
  mate: optional(id),
  look: optional(id),
  part: optional(id),
  why,
} as const
type Lost = Shaped<typeof shape>
type LostId = Extract<OwedId, { kind: 'reading' | 'mark' | 'look' }>

/** What was lost, as what was owed. Exactly one of a reading, a mark and a look. */
function lostOf({ check, moment, mate, look, part }: Omit<Lost, 'why'>): LostId | null {
  if ([check, mate, look].filter(one => one !== undefined).length !== 1) return null
  if (mate !== undefined) return { kind: 'mark', mate }
  if (look !== undefined) return part === undefined ? null : { kind: 'look', look, part }
  return moment === undefined ? null : { kind: 'reading', check: check!, moment }
}

/** Whether every figure of a check is in; one half filled may still be given up. */
function isWorkedOut(plan: Plan, state: JobState, { check, moment }: { check: string; moment: Moment }): boolean {
  const { worked, missing } = checkResults(plan, state).get(readingKey(check, moment))!
  return missing.length === 0 && worked.answer !== null
}

/** What may be given up: what the sheet says of it, undefined where it has nothing of the kind, whether it is there all the same, and its words. */
interface Given<I> {
  said: (plan: Plan, of: I) => { lost?: MayGiveUp } | undefined
  isThere: (plan: Plan, state: JobState, of: I) => boolean
  words: (plan: Plan, of: I) => string
}
const GIVEN: { [K in LostId['kind']]: Given<Extract<LostId, { kind: K }>> } = {
  mark: {
    said: (plan, { mate }) => plan.mates.get(mate)?.mark,
    isThere: (_, state, { mate }) => state.marks.has(mate),
    words: marks.mark.words,
  },
  look: {
    said: (plan, { look, part }) => (plan.looks.get(look)?.of.includes(part) ? plan.looks.get(look) : undefined),
    isThere: (_, state, { look, part }) => standingLook(state, look, part) !== undefined,
    words: looks.look.words,
  },
  reading: {
    said: (plan, { check, moment }) =>
      plan.checks.get(check)?.at.some(at => at.moment === moment) ? plan.checks.get(check) : undefined,
    isThere: isWorkedOut,
    words: readings.reading.words,
  },
}
const givenUp = (lost: LostId) => GIVEN[lost.kind] as Given<LostId>
const lostWords = (plan: Plan, lost: LostId) => givenUp(lost).words(plan, lost)

const given: ActKind<Lost> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sense: (plan, state, { payload, role }) => {
    const lost = lostOf(payload)
    if (!lost) return refusals.oneThing()
    const known = givenUp(lost).said(plan, lost)
    if (!known) return unknown('evidence', payload.check ?? payload.mate ?? payload.look ?? '')
    const what = lostWords(plan, lost)
    if (givenUp(lost).isThere(plan, state, lost)) return refusals.there({ what })
    if (lost.kind === 'reading' && isUnproved(state, lost.check, lost.moment)) return refusals.unproved({ what })
    // Nothing that was not read keeps a machine from being made safe.
    if (lost.kind === 'reading' && isLostToSafety(plan, lost.check, lost.moment)) return null
    if (!known.lost) return refusals.mayNot({ what })
    return known.lost === 'lead' && role !== 'lead' ? refusals.leadOnly({ what }) : null
  },
  apply: (state, entry) => {
    state.evidenceLost.set(keyOf(lostOf(entry.payload)!), stamped(entry, state, entry.payload))
  },
  words: (plan, payload) => {
    const lost = lostOf(payload)
    return `Evidence lost${lost ? `: ${lostWords(plan, lost)}` : ''}. ${payload.why}`
  },
}

export const slice = () => ({ evidenceLost: new Map<string, Stamp & Lost>() })
export const acts = { 'evidence.lost': given }
export const sections = {
  lost: section({
    title: 'Evidence lost',
    in: 'work',
    rows: ({ plan, state, by: signed }) =>
      [...state.evidenceLost.values()].map(one => ({
        what: lostWords(plan, lostOf(one)!),
        why: one.why,
        ...signed(one),
      })),
    columns: [
      { head: 'What', width: 5, cell: row => text(row.what) },
      { head: 'Why', width: 6, cell: row => text(row.why) },
      by(),
    ],
  }),
}
