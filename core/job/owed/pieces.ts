import { countKey, partState } from '../ledger/state.ts'
import { beforeCover, type Owing, type Source } from './owing.ts'

/** Pieces that did not all come out, or did not all go back: one of them may lie in the machine. */
export const pieces: Source = ({ plan, state }) =>
  [...plan.parts.values()].flatMap(({ ref, part, name }): Owing[] => {
    const { where } = partState(state, ref)
    if (where === 'on' || !part.quantity) return []
    const step = beforeCover(plan, plan.fittedBy.get(ref)?.id)
    return (['out', 'in'] as const).flatMap((way): Owing[] => {
      const counted = state.counts.get(countKey(ref, way))?.n
      if (counted === undefined || counted === part.quantity) return []
      const short = counted < part.quantity!
      return [
        {
          id: { kind: 'pieces', part: ref, way },
          station: way === 'out' ? 'strip' : 'build',
          what: `${counted} of ${part.quantity} ${way === 'out' ? 'came off' : 'went back'}: ${name}`,
          why: short
            ? way === 'out'
              ? 'What is missing may lie in the machine: find it and count again'
              : 'One left over on the bench, or lost: count again'
            : 'More than the machine has: one belongs somewhere else',
          step,
          settle: { to: 'part', part: ref },
        },
      ]
    })
  })
