import { MOMENTS, type Moment, type Plan } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { keyOf, owedWords, type OwedId } from '../owed/id.ts'
import { checkResults } from '../measuring/results.ts'
import { HANDS } from '../ledger/roles.ts'
import { choice, id, optional, why, type Shaped } from '../ledger/shape.ts'
import { readingKey, stamped, type JobState } from '../ledger/state.ts'
import { unknown } from './sense.ts'

const shape = { check: optional(id), moment: optional(choice(MOMENTS)), mate: optional(id), why } as const
type Lost = Shaped<typeof shape>

/** What was lost, as what was owed. Exactly one of a reading and a mark. */
export const lostOf = ({
  check,
  moment,
  mate,
}: Omit<Lost, 'why'>): Extract<OwedId, { kind: 'reading' | 'mark' }> | null =>
  mate !== undefined && check === undefined
    ? { kind: 'mark', mate }
    : check !== undefined && moment !== undefined && mate === undefined
      ? { kind: 'reading', check, moment }
      : null

/** Whether every figure of a check is in; one half filled may still be given up. */
const isWorkedOut = (plan: Plan, state: JobState, { check, moment }: { check: string; moment: Moment }) => {
  const { worked, missing } = checkResults(plan, state).get(readingKey(check, moment))!
  return missing.length === 0 && worked.answer !== null
}

export const evidenceLost: ActKind<Lost> = {
  shape,
  by: HANDS,
  corrected: 'take back',
  sense: (plan, state, { payload, role }) => {
    const lost = lostOf(payload)
    if (!lost) return 'Say which reading, at which moment, or which mark cannot be had: one of them.'
    const known = lost.kind === 'mark' ? plan.mates.get(lost.mate)?.mark : plan.checks.get(payload.check!)
    if (!known || (lost.kind === 'reading' && !plan.checks.get(lost.check)!.at.some(at => at.moment === lost.moment)))
      return unknown('evidence', payload.check ?? payload.mate ?? '')
    const has = lost.kind === 'mark' ? state.marks.has(lost.mate) : isWorkedOut(plan, state, lost)
    if (has) return `${owedWords(plan, lost)}: that is there. Correct it instead, with the reason.`
    if (!known.lost)
      return `${owedWords(plan, lost)} may not be given up: this machine's sheet does not allow it. Take it, or ask a lead for a concession.`
    return known.lost === 'lead' && role !== 'lead'
      ? `${owedWords(plan, lost)} is given up by a lead only. Ask one to do it.`
      : null
  },
  apply: (state, entry) => {
    state.evidenceLost.set(keyOf(lostOf(entry.payload)!), stamped(entry, state, entry.payload))
  },
  words: (plan, payload) => {
    const lost = lostOf(payload)
    return `Evidence lost${lost ? `: ${owedWords(plan, lost)}` : ''}. ${payload.why}`
  },
}
