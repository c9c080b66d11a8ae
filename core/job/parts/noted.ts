import type { Plan } from '../../sheet/index.ts'
import { inSentence } from '../../sums/read.ts'
import { choice, id, optional, record } from '../ledger/shape.ts'
import type { Settle } from '../owed/owing.ts'
import { codesFor } from './looks.ts'

/** What a note or a photograph may be on. */
export const NOTED = ['step', 'part', 'reading', 'mate', 'joint', 'look'] as const
export interface Noted {
  what: (typeof NOTED)[number]
  id: string
  /** Of a look, at which of its parts. */
  part?: string
  /** Of a look, or of what is seen on a part in passing: the code of the finding it shows. */
  finding?: string
}
/** The same as it stands in an entry. */
export const notedShape = record({ what: choice(NOTED), id, part: optional(id), finding: optional(id) } as const)

/** How what a note is on is called; undefined where the sheet has no such thing. What is left out of this machine has its name, too. */
export function notedName(plan: Plan, on: Noted): string | undefined {
  const name = thingName(plan, on)
  if (on.finding === undefined || name === undefined) return name
  const code = findingOf(plan, on)
  return code && `${name}: ${inSentence(code.say)}`
}

/** The finding that something is on, among the codes of its part; undefined where there is none such. */
export function findingOf(plan: Plan, { what, id: of, part, finding }: Noted) {
  const ref = what === 'look' ? part : what === 'part' ? of : undefined
  if (finding === undefined || ref === undefined || !plan.parts.has(ref)) return undefined
  return codesFor(plan, ref, what === 'look' ? of : undefined).codes.find(one => one.id === finding)
}

function thingName({ whole, parts }: Plan, { what, id: of, part }: Noted): string | undefined {
  if (what === 'part') return parts.get(of)?.name
  if (what === 'look') {
    const look = whole.looks?.find(one => one.id === of)
    if (!look || part === undefined) return look?.title
    return look.of.includes(part) ? `${parts.get(part)!.name}: ${inSentence(look.title)}` : undefined
  }
  const lists = { step: whole.steps, reading: whole.checks, mate: whole.mates, joint: whole.joints }
  return part === undefined ? lists[what].find(one => one.id === of)?.title : undefined
}

/** What a note would be on that is written at a pad; null where the pad is of nothing in particular. */
export function notedAt(at: Settle): Noted | null {
  if (at.to === 'reading') return { what: 'reading', id: at.check }
  if (at.to === 'look' && at.look !== undefined) return { what: 'look', id: at.look, part: at.part }
  if (at.to === 'part' || at.to === 'look' || at.to === 'child' || at.to === 'stray')
    return { what: 'part', id: at.part }
  if (at.to === 'mark' || at.to === 'mate') return { what: 'mate', id: at.mate }
  if (at.to === 'joint' || at.to === 'slackening') return { what: 'joint', id: at.joint }
  return 'step' in at && at.step ? { what: 'step', id: at.step } : null
}

/** Where a note is read beside what it is on. */
export function settleOf({ checks }: Plan, { what, id: of, part }: Noted): Settle | null {
  if (what === 'look') return part === undefined ? null : { to: 'look', look: of, part }
  if (what === 'part') return { to: 'part', part: of }
  if (what === 'mate') return { to: 'mate', mate: of }
  if (what === 'joint') return { to: 'joint', joint: of }
  if (what === 'step') return { to: 'step', step: of }
  const moment = checks.get(of)?.at[0]?.moment
  return moment ? { to: 'reading', check: of, moment } : null
}

/** Whether both are the same thing; of looks, at the same part; of findings, the same one. */
export const isSameThing = (one: Noted | undefined, other: Noted | undefined): boolean =>
  one?.what === other?.what && one?.id === other?.id && one?.part === other?.part && one?.finding === other?.finding

/** Whether something is on what is asked for, or on the job as a whole; what is of a look at a part is of that part, too, and what is of a finding is of the look that found it. */
export function isNotedOn(one: Noted | undefined, on: Noted | null): boolean {
  if (!one || !on) return !one && on === null
  if (on.finding !== undefined && one.finding !== on.finding) return false
  if (one.what === 'look' && on.what === 'part') return one.part === on.id
  return isSameThing({ ...one, finding: on.finding }, on)
}
