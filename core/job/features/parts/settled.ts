import type { ActKind } from '../../ledger/act.ts'
import { partState, setPart, SETTLED } from '../../ledger/part.ts'
import { refusalsAbout } from '../../../refusal.ts'
import { choice, id, optional, words, type Shaped } from '../../ledger/shape.ts'
import { stamped } from '../../ledger/state.ts'
import { partName } from '../../ledger/words.ts'
import { notOff } from '../sense.ts'

const refusals = refusalsAbout('part.settled', {
  ownStep: ({ part }: { part: string }) => `${part} goes back at its own step.`,
})

const shape = { part: id, to: choice(SETTLED), note: optional(words(400)) } as const

/** Where a part went that the job, as it is now decided, knows no step for. */
export const partSettled: ActKind<Shaped<typeof shape>> = {
  shape,
  by: ['fitter', 'lead'],
  corrected: 'take back',
  sense: (plan, state, { payload: { part: ref } }) => {
    const part = partName(plan, ref)
    if (partState(state, ref).where !== 'off') return notOff(part)
    return plan.fittedBy.has(ref) ? refusals.ownStep({ part }) : null
  },
  apply: (state, entry) => {
    const { part, to, note } = entry.payload
    setPart(state, part, {
      settled: stamped(entry, state, { to, note }),
      ...(to === 'put back' ? { where: 'on' } : {}),
    })
  },
  words: (plan, { part, to, note }) => `${partName(plan, part)}: ${to}${note ? `. ${note}` : ''}`,
}
