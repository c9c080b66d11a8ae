import type { Complaint, Plan, Step } from '../../sheet/index.ts'
import type { Payloads } from '../ledger/entry.ts'
import type { JobState } from '../ledger/state.ts'

/** What was reported of the machine as its job was opened. */

export const ANSWERS = ['gone', 'not gone', 'no cause found'] as const

/** The signs that were reported, of those the sheet knows. */
export const reportedSigns = (plan: Plan, { opened }: Pick<JobState, 'opened'>): Complaint[] => {
  const ids = opened?.payload.signs ?? []
  return (plan.sheet.complaints ?? []).filter(one => ids.includes(one.id))
}

/** Whether something owed, or a pad, is of what is looked at for what was reported: a check, a look of the sheet, how two parts stand. */
export function isForSign(plan: Plan, state: Pick<JobState, 'opened'>, about: object): boolean {
  const { check, look, mate } = about as { check?: string; look?: string; mate?: string }
  return reportedSigns(plan, state).some(
    ({ look: into }) =>
      (check !== undefined && into.checks?.includes(check)) ||
      (look !== undefined && into.looks?.includes(look)) ||
      (mate !== undefined && into.mates?.includes(mate)),
  )
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
export const shownAt = ({ sheet }: Plan): Step =>
  sheet.steps.findLast(one => one.starts === 'machine') ?? sheet.steps.at(-1)!

/** Whether what was reported is cured, by the answers; null where none was reported as a sign. */
export function curedBy(plan: Plan, state: JobState): Payloads['job.signed']['cured'] | null {
  const reported = reportedSigns(plan, state)
  if (!reported.length) return null
  const answers = reported.map(one => state.signs.get(one.id)?.how)
  if (answers.includes('not gone')) return 'no'
  return answers.every(one => one === 'gone') ? 'yes' : 'not known yet'
}
