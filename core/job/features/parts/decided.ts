import type { ActKind } from '../../ledger/act.ts'
import { CHOICES, partState, setPart, type Choice } from '../../ledger/part.ts'
import { refusalsAbout } from '../../../refusal.ts'
import { HANDS } from '../../ledger/roles.ts'
import { settled } from '../../ledger/seen.ts'
import { choice, optional, refs, words, type Shaped } from '../../ledger/shape.ts'
import { stamped, type Stamp } from '../../ledger/state.ts'
import { partNames } from '../../ledger/words.ts'
import { offParts } from '../sense.ts'

const refusals = refusalsAbout('part.decided', {
  alwaysNew: ({ part, why }: { part: string; why: string }) => `${part} is always renewed: ${why}.`,
  newTaken: ({ part }: { part: string }) => `A new ${part} was taken for it already. Take that back first.`,
})

const shape = { parts: refs, choice: choice(CHOICES), why: optional(words(400)) } as const

/** Choices by how little of the part is trusted: of two that had not seen each other the last of these stands. */
const WORSE: readonly Choice[] = ['reuse', 'rework', 'send out', 'renew']

export const partDecided: ActKind<Shaped<typeof shape>> = {
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
  apply: (state, entry) => {
    const { choice: chosen, why } = entry.payload
    const now: Stamp & { choice: Choice; why?: string } = stamped(entry, state, { choice: chosen, why })
    const isWorse = (one: typeof now, other: typeof now) => WORSE.indexOf(one.choice) > WORSE.indexOf(other.choice)
    for (const ref of entry.payload.parts)
      setPart(state, ref, {
        decision: settled(partState(state, ref).decision, now, entry, isWorse),
        returned: undefined,
      })
  },
  words: (plan, { parts, choice: chosen, why }) =>
    `Decided, ${chosen}: ${partNames(plan, parts)}${why ? `. ${why}` : ''}`,
}
