import type { Complaint, Plan } from '../../sheet/index.ts'
import type { Payloads } from '../ledger/entry.ts'
import type { JobState } from '../ledger/state.ts'
import type { OwedId } from '../owed/id.ts'

/** What was reported of the machine as its job was opened. */

export const ANSWERS = ['gone', 'not gone', 'no cause found'] as const

/** The signs that were reported, of those the sheet knows. */
export const reportedSigns = (plan: Plan, { opened }: Pick<JobState, 'opened'>): Complaint[] => {
  const ids = opened?.payload.signs ?? []
  return (plan.sheet.complaints ?? []).filter(one => ids.includes(one.id))
}

/** What is reported and not answered. */
export const unanswered = (plan: Plan, state: JobState): Complaint[] =>
  reportedSigns(plan, state).filter(one => !state.signs.has(one.id))

/** Whether something owed is looked at for what was reported: a reading, a look, a mate, a step. */
export function isForSign(plan: Plan, state: Pick<JobState, 'opened'>, of: OwedId): boolean {
  const looks = reportedSigns(plan, state).map(one => one.look)
  if (of.kind === 'reading') return looks.some(one => one.checks?.includes(of.check))
  if (of.kind === 'look') return looks.some(one => one.looks?.includes(of.look))
  return of.kind === 'step' && looks.some(one => one.steps?.includes(of.step))
}

/** The signs that are looked into at a step. */
export const signsAt = (plan: Plan, state: JobState, step: string): Complaint[] =>
  reportedSigns(plan, state).filter(
    ({ look }) =>
      look.steps?.includes(step) ||
      look.looks?.some(id => plan.looks.get(id)?.step === step) ||
      look.checks?.some(id => plan.checks.get(id)?.at.some(at => at.step === step)),
  )

/** The step after which it shows whether a sign is gone: the machine runs. */
export const shownAt = ({ sheet }: Plan) => sheet.steps.findLast(one => one.starts === 'machine') ?? sheet.steps.at(-1)!

/** Whether what was reported is cured, by the answers; null where none was reported as a sign. */
export function curedBy(plan: Plan, state: JobState): Payloads['job.signed']['cured'] | null {
  const reported = reportedSigns(plan, state)
  if (!reported.length) return null
  const answers = reported.map(one => state.signs.get(one.id)?.how)
  if (answers.includes('not gone')) return 'no'
  return answers.every(one => one === 'gone') ? 'yes' : 'not known yet'
}
