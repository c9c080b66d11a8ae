import type { ActKind } from '../../ledger/act.ts'
import { DECISIONS } from '../../../sheet/index.ts'
import { partState, setPart } from '../../ledger/part.ts'
import { refusalsAbout } from '../../../refusal.ts'
import { HANDS } from '../../ledger/roles.ts'
import { settled } from '../../ledger/seen.ts'
import { choice, optional, refs, words, type Shaped } from '../../ledger/shape.ts'
import { stamped, type Stamp } from '../../ledger/state.ts'
import { partName, partNames } from '../../ledger/words.ts'
import { inSentence } from '../../../sums/read.ts'
import { checkResults } from '../../measuring/index.ts'
import { leftToLead } from '../../parts/looks.ts'
import { proposalsOf, WORSE } from '../../parts/proposals.ts'
import { offParts } from '../sense.ts'

const refusals = refusalsAbout('part.decided', {
  alwaysNew: ({ part, why }: { part: string; why: string }) => `${part} is always renewed: ${why}.`,
  against: ({ part, choice, because }: { part: string; choice: string; because: string }) =>
    `${part}: ${because ? `${because}; ` : 'it was looked at and nothing was found; '}${choice} is proposed. Say why it is decided otherwise.`,
  proposedNow: ({ part, choice }: { part: string; choice: string }) =>
    `${part}: ${choice} is proposed now. Look at it again, then decide.`,
  leadReads: ({ part, found }: { part: string; found: string }) =>
    `${part}: ${found}. Whether that may go back is for a lead to say. Say why it should; the lead who signs for the parts reads it.`,
  newTaken: ({ part }: { part: string }) => `A new ${part} was taken for it already. Take that back first.`,
})

const shape = {
  parts: refs,
  choice: choice(DECISIONS),
  why: optional(words(400)),
  /** What was proposed for them as it was decided, and what had been found. */
  proposed: optional(choice(DECISIONS)),
  found: optional(words(400)),
} as const

type Decided = Shaped<typeof shape>

export const partDecided: ActKind<Decided> = {
  shape,
  by: HANDS,
  corrected: 'replace',
  sense: (plan, state, { payload: { parts, choice: chosen } }) => {
    const wrong = offParts(plan, state, parts)
    if (wrong || chosen === 'renew') return wrong
    const always = parts.map(ref => plan.parts.get(ref)!).find(({ part }) => part.renewal === 'always')
    if (always)
      return refusals.alwaysNew({
        part: always.name,
        why: always.part.renewalWhy ?? 'it is used up by the first fitting',
      })
    const fresh = parts.find(ref => partState(state, ref).renewed)
    return fresh ? refusals.newTaken({ part: plan.parts.get(fresh)!.name.toLowerCase() }) : null
  },
  // Taking what is proposed asks no reason; going against it does.
  live: ({ plan, state }, { payload: { parts, choice: chosen, why, proposed } }) => {
    const left = chosen === 'reuse' && !why?.trim() ? parts.filter(ref => leftToLead(plan, state, ref) !== null) : []
    if (left.length)
      return left.map(ref =>
        refusals.leadReads({ part: partName(plan, ref), found: inSentence(leftToLead(plan, state, ref)!) }),
      )
    const proposals = proposalsOf(plan, state, checkResults(plan, state))
    const against = parts.find(ref => proposals.has(ref) && proposals.get(ref)!.choice !== chosen)
    if (against === undefined) return []
    const { choice, because } = proposals.get(against)!
    const part = partName(plan, against)
    if (!why?.trim()) return [refusals.against({ part, choice, because: because.join('; ') })]
    // The record says what it was decided against: that is not the sender's to say otherwise.
    return proposed === choice ? [] : [refusals.proposedNow({ part, choice })]
  },
  apply: (state, entry) => {
    // Of two that had not seen each other the one that trusts the part less stands.
    const { parts: _, ...said } = entry.payload
    const now: Stamp & Omit<Decided, 'parts'> = stamped(entry, state, said)
    const isWorse = (one: typeof now, other: typeof now) => WORSE.indexOf(one.choice) > WORSE.indexOf(other.choice)
    for (const ref of entry.payload.parts)
      setPart(state, ref, {
        decision: settled(partState(state, ref).decision, now, entry, isWorse),
        returned: undefined,
      })
  },
  words: (plan, { parts, choice: chosen, why, proposed }) =>
    `Decided, ${chosen}${proposed && proposed !== chosen ? ` against ${proposed}` : ''}: ${partNames(plan, parts)}${why ? `. ${why}` : ''}`,
}
