import { readingKey, type Plan } from '../sheet/index.ts'
import { basisOf, neverConceded, OWED_FIELDS, OWED_KINDS, owedOf, owedWords, type Loose } from './debts.ts'
import type { ActKind } from './ledger/act.ts'
import { refusalsAbout } from '../refusal.ts'
import { isSame } from './ledger/same.ts'
import { by, section, text } from './ledger/section.ts'
import { choice, entryId, flag, list, optional, record, why, type Fields, type Shaped } from './ledger/shape.ts'
import { stamped, type JobState, type Stamp } from './ledger/state.ts'
import { isRead } from './measuring/results.ts'
import { showLimits, showValue } from './measuring/show.ts'
import { keyOf, type OwedId } from './owed/id.ts'
import { didTheWork } from './parts/holds.ts'

/** Something owed that a lead lets pass, as it is now, with the reason. */

const refusals = refusalsAbout('concession', {
  what: () => 'Say what is accepted: something that is owed now.',
  notOwed: ({ what }: { what: string }) => `${what}: that is not owed now, so there is nothing to accept`,
  never: ({ what, instead }: { what: string; instead: string }) => `“${what}” is accepted by nobody: ${instead}`,
  changed: ({ what }: { what: string }) => `“${what}” has changed since you looked. Look at it again, then accept it`,
  ownWork: () =>
    'You did some of this work yourself, or vouched for it. Another lead signs it, or accepts it; where there is none here, say so',
})

const fields: Fields = Object.fromEntries(Object.entries(OWED_FIELDS).map(([key, of]) => [key, optional(of)]))
const rest = {
  why,
  /** The acts that what is owed rests on, as they were seen: {@link basisOf}. None where it rests on none. */
  basis: optional(list(entryId, 2000)),
  /** Conceded by one who did the work, since nobody else here leads. */
  onlyLead: optional(flag),
} as const
const shape = { of: record({ kind: choice(OWED_KINDS), ...fields }), ...rest } as const
type Concession = { of: Loose } & Shaped<typeof rest>

/** Whether a concession stands on its giver being the only lead: it passes a hold point over their own work. */
export function isOwnWork(plan: Plan, state: JobState, of: OwedId, person: string): boolean {
  const step = of.kind === 'hold' ? plan.steps.get(of.step) : undefined
  return step !== undefined && didTheWork(plan, state, step, person)
}

const given: ActKind<Concession> = {
  shape,
  by: ['lead'],
  corrected: 'take back',
  neverLate: true,
  signature: true,
  sense: (_, __, { payload }) => (owedOf(payload.of) ? null : refusals.what()),
  claims: ({ onlyLead }) => (onlyLead ? [{ onlyLead: true }] : []),
  live: ({ plan, state, owed }, { payload, madeBy }) => {
    const of = owedOf(payload.of)!
    const key = keyOf(of)
    const debt = owed.find(one => one.key === key)
    if (!debt) return [refusals.notOwed({ what: owedWords(plan, of) })]
    const { what } = debt
    const instead = neverConceded(plan, of)
    if (instead) return [refusals.never({ what, instead })]
    if (!isSame(payload.basis ?? [], basisOf(plan, state, of))) return [refusals.changed({ what })]
    return isOwnWork(plan, state, of, madeBy) && !payload.onlyLead ? [refusals.ownWork()] : []
  },
  apply: (state, entry) => {
    state.concessions.set(keyOf(owedOf(entry.payload.of)!), stamped(entry, state, entry.payload))
  },
  words: (plan, { of, why: reason, onlyLead }) => {
    const owed = owedOf(of)
    return `Accepted by a lead${owed ? `: ${owedWords(plan, owed)}` : ''}. ${reason}${onlyLead ? ' Given by the only lead here.' : ''}`
  },
}

export const slice = () => ({
  /** By what was owed. */
  concessions: new Map<string, Stamp & Concession>(),
})
export const acts = { 'concession.given': given }
export const sections = {
  concessions: section({
    title: 'Accepted by a lead',
    in: 'decisions',
    rows: ({ plan, state, results, system, by: signed }) => {
      /** What a concession on a reading lets pass: the figure, and what it was held against. */
      const figureOf = (of: OwedId) => {
        const result = 'check' in of ? results.get(readingKey(of.check, of.moment)) : undefined
        return !isRead(result)
          ? ''
          : `: ${showValue(result.check, result, system)}, limit ${showLimits(result.check, system)}`
      }
      return [...state.concessions.values()].map(one => {
        const of = owedOf(one.of)!
        const stands = isSame(one.basis ?? [], basisOf(plan, state, of, results))
        const over = isOwnWork(plan, state, of, one.by) ? ', over their own work' : ''
        return {
          what: `${owedWords(plan, of)}${stands ? figureOf(of) : ' (lapsed: it is another since)'}`,
          why: one.onlyLead ? `${one.why} (by the only lead here${over})` : one.why,
          ...signed(one),
        }
      })
    },
    columns: [
      { head: 'What', width: 6, cell: row => text(row.what) },
      { head: 'Why', width: 6, cell: row => text(row.why) },
      by(),
    ],
  }),
}
