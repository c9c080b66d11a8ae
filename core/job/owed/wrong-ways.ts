import { mateAnswer, mateMet } from '../mates.ts'
import { beforeCover, type Owing, type Source } from './owing.ts'

export const wrongWays: Source = ({ plan, state }) =>
  plan.sheet.mates.flatMap((mate): Owing[] => {
    const answer = mateAnswer(plan, state, mate)
    if (!answer || mateMet(mate, state.marks.get(mate.id), answer)) return []
    return [
      {
        id: { kind: 'wrong way', mate: mate.id },
        station: 'build',
        what: `${plan.parts.get(answer.part)!.name}: ${mate.title.toLowerCase()} not met`,
        why: mate.wrong,
        step: beforeCover(plan, plan.fittedBy.get(answer.part)?.id),
        settle: { to: 'part', part: answer.part },
      },
    ]
  })
