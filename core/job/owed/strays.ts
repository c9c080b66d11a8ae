import { partName } from '../ledger/words.ts'
import type { Owing, Source } from './owing.ts'

/** Parts that are off and have no way back, since the job was decided otherwise: where do they go? */
export const strays: Source = ({ plan, state }) =>
  [...state.parts].flatMap(([ref, now]): Owing[] =>
    now.where === 'off' && !now.settled && !plan.fittedBy.has(ref)
      ? [
          {
            id: { kind: 'stray', part: ref },
            station: 'decide',
            what: `Off, and no step to fit it: ${partName(plan, ref)}`,
            why: 'Put it back, scrap it or keep it aside, and say which',
            step: null,
            settle: { to: 'stray', part: ref },
          },
        ]
      : [],
  )
