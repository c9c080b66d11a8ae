import { signerWords } from '../ledger/competence.ts'
import { holdStands } from '../parts/holds.ts'
import type { Owing, Source } from './owing.ts'

export const holds: Source = ({ plan, state }) =>
  plan.sheet.steps.flatMap((step): Owing[] => {
    const stands = step.hold ? holdStands(plan, state, step) : 'signed'
    if (stands === 'signed') return []
    return [
      {
        id: { kind: 'hold', step: step.id },
        station: step.station,
        what: `Hold point: ${step.title}`,
        why:
          stands === 'lapsed'
            ? 'Signed, but what it covers has changed since: look again and sign again'
            : `A second pair of eyes signs here: ${signerWords(step.hold!)}`,
        step: step.id,
        settle: { to: 'step', step: step.id },
        who: step.hold!.by,
      },
    ]
  })
