import type { Plan } from '../../sheet/index.ts'
import type { Settle } from '../owed/owing.ts'

/** What a note may be on. */
export const NOTED = ['step', 'part', 'reading', 'mate', 'joint'] as const
export interface Noted {
  what: (typeof NOTED)[number]
  id: string
}

/** How what a note is on is called; undefined where the sheet has no such thing. What is left out of this machine has its name, too. */
export function notedName({ whole, parts }: Plan, { what, id }: Noted): string | undefined {
  if (what === 'part') return parts.get(id)?.name
  const lists = { step: whole.steps, reading: whole.checks, mate: whole.mates, joint: whole.joints }
  return lists[what].find(one => one.id === id)?.title
}

/** What a note would be on that is written at a pad; null where the pad is of nothing in particular. */
export function notedAt(at: Settle): Noted | null {
  if (at.to === 'reading') return { what: 'reading', id: at.check }
  if (at.to === 'part' || at.to === 'look' || at.to === 'child' || at.to === 'stray')
    return { what: 'part', id: at.part }
  if (at.to === 'mark' || at.to === 'mate') return { what: 'mate', id: at.mate }
  if (at.to === 'joint' || at.to === 'slackening') return { what: 'joint', id: at.joint }
  return 'step' in at && at.step ? { what: 'step', id: at.step } : null
}

/** Where a note is read beside what it is on. */
export function settleOf({ checks }: Plan, { what, id }: Noted): Settle | null {
  if (what === 'part') return { to: 'part', part: id }
  if (what === 'mate') return { to: 'mate', mate: id }
  if (what === 'joint') return { to: 'joint', joint: id }
  if (what === 'step') return { to: 'step', step: id }
  const moment = checks.get(id)?.at[0]?.moment
  return moment ? { to: 'reading', check: id, moment } : null
}
