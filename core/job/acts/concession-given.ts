import { MOMENTS, type Plan } from '../../sheet/index.ts'
import type { ActKind } from '../ledger/act.ts'
import { basisOf } from '../owed/basis.ts'
import { signerWords } from '../ledger/competence.ts'
import { didTheWork } from '../parts/holds.ts'
import { keyOf, OWED_KINDS, owedOf, owedWords, type OwedId } from '../owed/id.ts'
import { owedNow } from '../owed/index.ts'
import { choice, entryId, flag, id, list, optional, record, why, words, type Shaped } from '../ledger/shape.ts'
import { isSame } from '../ledger/same.ts'
import { stamped, type JobState } from '../ledger/state.ts'

const shape = {
  of: record({
    kind: choice(OWED_KINDS),
    check: optional(id),
    moment: optional(choice(MOMENTS)),
    mate: optional(id),
    part: optional(id),
    way: optional(choice(['out', 'in'])),
    joint: optional(id),
    debt: optional(id),
    step: optional(id),
    loop: optional(id),
    item: optional(words(80)),
    sign: optional(words(120)),
    entry: optional(entryId),
    nth: optional({ is: 'number', whole: true, least: 0 } as const),
  }),
  why,
  /** The acts that what is owed rests on, as they were seen: {@link basisOf}. None where it rests on none. */
  basis: optional(list(entryId, 2000)),
  /** Conceded by one who did the work, since nobody else here leads. */
  onlyLead: optional(flag),
} as const

/** Work that was not done is not conceded away: it is left out where the sheet allows, or done. */
const NEVER: readonly OwedId['kind'][] = ['step', 'axis', 'trial', 'item']

/** Why something owed is not conceded, whoever would; null when a lead may. */
export function neverConceded(plan: Plan, of: OwedId): string | null {
  const hold = of.kind === 'hold' ? plan.steps.get(of.step)?.hold : undefined
  if (hold && hold.by !== 'lead') return `it is signed by ${signerWords(hold)}; a lead’s word does not stand for that`
  return NEVER.includes(of.kind) ? 'do it, decide it, or leave it out where the sheet allows' : null
}

/** Whether a concession stands on its giver being the only lead: it passes a hold point over their own work. */
export function isOwnWork(plan: Plan, state: JobState, of: OwedId, person: string): boolean {
  const step = of.kind === 'hold' ? plan.steps.get(of.step) : undefined
  return step !== undefined && didTheWork(plan, state, step, person)
}

export const concessionGiven: ActKind<Shaped<typeof shape>> = {
  shape,
  by: ['lead'],
  corrected: 'take back',
  neverLate: true,
  signature: true,
  sense: (_, __, { payload }) => (owedOf(payload.of) ? null : 'Say what is conceded: something that is owed now.'),
  claims: ({ onlyLead }) => (onlyLead ? [{ onlyLead: true }] : []),
  live: (plan, state, { payload, madeBy }) => {
    const of = owedOf(payload.of)!
    const key = keyOf(of)
    const owed = owedNow(plan, state).find(one => one.key === key)
    if (!owed) return [`${owedWords(plan, of)}: that is not owed now, so there is nothing to concede`]
    const never = neverConceded(plan, of)
    if (never) return [`“${owed.what}” is not conceded away: ${never}`]
    if (!isSame(payload.basis ?? [], basisOf(plan, state, of)))
      return [`“${owed.what}” has changed since you looked. Look at it again, then concede`]
    return isOwnWork(plan, state, of, madeBy) && !payload.onlyLead
      ? [
          'You did some of this work yourself, or vouched for it. Another lead signs it, or concedes it; where there is none here, say so',
        ]
      : []
  },
  apply: (state, entry) => {
    state.concessions.set(keyOf(owedOf(entry.payload.of)!), stamped(entry, state, entry.payload))
  },
  words: (plan, { of, why: reason, onlyLead }) => {
    const owed = owedOf(of)
    return `Concession${owed ? `: ${owedWords(plan, owed)}` : ''}. ${reason}${onlyLead ? ' Given by the only lead here.' : ''}`
  },
}
