import { canBeSeen, markOf, mateMet } from '../parts/mates.ts'
import { partState } from '../ledger/state.ts'
import { beforeCover, type Owing, type Source } from './owing.ts'

/** Parts that are back and do not stand to each other as they must, or of which nobody has said yet how they stand. */
export const wrongWays: Source = ({ plan, state }) =>
  plan.sheet.mates.flatMap((mate): Owing[] => {
    if (mate.rule.kind === 'free' || !canBeSeen(plan, state, mate)) return []
    const answer = state.mates.get(mate.id)
    const isOpen = !answer || answer.notYet
    if (!isOpen && mateMet(mate, markOf(state, mate), answer)) return []
    const part = partState(state, mate.a).where === 'fitted' ? mate.a : mate.b
    const settled = [mate.asked, plan.fittedBy.get(mate.a)?.id, plan.fittedBy.get(mate.b)?.id].filter(
      id => id !== undefined,
    )
    // While its own step is in hand it is asked there; afterwards it holds up the cover.
    const own = isOpen && !answer ? settled.find(id => !state.steps.has(id)) : undefined
    const title = plan.parts.get(part)!.name
    return [
      {
        id: { kind: isOpen ? 'mate' : 'wrong way', mate: mate.id },
        station: 'build',
        what: isOpen
          ? `How it stands: ${mate.title}`
          : `${title}: ${mate.title[0]!.toLowerCase()}${mate.title.slice(1)} not met`,
        why: mate.ifWrong,
        step: own ?? beforeCover(plan, settled[0]),
        settle: own ? { to: 'step', step: own } : { to: 'mate', mate: mate.id },
      },
    ]
  })
