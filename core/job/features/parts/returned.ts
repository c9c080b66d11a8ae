import type { ActKind } from '../../ledger/act.ts'
import { isAway, partState, setPart } from '../../ledger/part.ts'
import { refusalsAbout } from '../../../refusal.ts'
import { id, optional, words, type Shaped } from '../../ledger/shape.ts'
import { stamped } from '../../ledger/state.ts'
import { partName } from '../../ledger/words.ts'
import { offParts } from '../sense.ts'

const refusals = refusalsAbout('part.returned', {
  notAway: ({ part }: { part: string }) => `${part} is not away: nothing came back.`,
})

const shape = { part: id, note: optional(words(400)) } as const

/** Back from outside, or from rework: only then may it be fitted. */
export const partReturned: ActKind<Shaped<typeof shape>> = {
  shape,
  by: ['fitter', 'lead', 'stores'],
  corrected: 'replace',
  sameAgain: true,
  sense: (plan, state, { payload: { part } }) =>
    offParts(plan, state, [part]) ??
    (isAway(partState(state, part)) ? null : refusals.notAway({ part: partName(plan, part) })),
  apply: (state, entry) => {
    const { part, note } = entry.payload
    state.returns.push(stamped(entry, state, { part }))
    setPart(state, part, { returned: stamped(entry, state, { note }) })
  },
  words: (plan, { part, note }) => `Back: ${partName(plan, part)}${note ? `. ${note}` : ''}`,
}
