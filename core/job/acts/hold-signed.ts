import type { ActKind } from '../ledger/act.ts'
import { competenceShape, competenceWords, signerRefusal } from '../ledger/competence.ts'
import { timeOf } from '../ledger/entry.ts'
import { holdHindrances, workOf } from '../parts/holds.ts'
import { WRITERS } from '../ledger/roles.ts'
import { entriesOf, isSame } from '../ledger/same.ts'
import { entryId, id, list, optional, record, type Shaped } from '../ledger/shape.ts'
import { stamped } from '../ledger/state.ts'
import { stepName } from '../ledger/words.ts'
import { unknown } from './sense.ts'

/** `basis`: the acts that are signed for. `on`: the paper the signature rests on, where a role is not enough. */
const shape = { step: id, basis: list(entryId, 2000), on: optional(record(competenceShape)) } as const

export const holdSigned: ActKind<Shaped<typeof shape>> = {
  shape,
  // Who signs is the sheet's to say, not the role's.
  by: WRITERS,
  corrected: 'take back',
  neverLate: true,
  signature: true,
  claims: ({ on }) => (on ? [{ competence: on }] : []),
  sense: (plan, _, entry) => {
    const { step, on } = entry.payload
    const hold = plan.steps.get(step)?.hold
    return hold ? signerRefusal(hold, entry.role, on, timeOf(entry)) : unknown('hold point', step)
  },
  live: (plan, state, { payload, madeBy }) => {
    const step = plan.steps.get(payload.step)!
    const hindered = holdHindrances(plan, state, step, madeBy)
    if (hindered.length || isSame(payload.basis, entriesOf(workOf(plan, state, step)))) return hindered
    return ['The work it signs for has changed since you looked. Look at it again, then sign']
  },
  apply: (state, entry) => {
    const { step, ...signed } = entry.payload
    state.holds.set(step, stamped(entry, state, signed))
  },
  words: (plan, { step, on }) => `Hold point signed: ${stepName(plan, step)}${on ? `, ${competenceWords(on)}` : ''}`,
}
