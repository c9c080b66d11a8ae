import { partState } from '../state.ts'
import { beforeCover, type Owing, type Source } from './owing.ts'

export const wrongPlaces: Source = ({ plan, state }) =>
  [...plan.parts.values()].flatMap(({ ref, name }): Owing[] => {
    const place = partState(state, ref).fitted?.place
    if (!place || place === ref) return []
    return [
      {
        id: { kind: 'wrong place', part: ref },
        station: 'build',
        what: `${name} is in the place of ${plan.parts.get(place)?.name}`,
        why: 'Parts go back to the place they came from',
        step: beforeCover(plan, plan.fittedBy.get(ref)?.id),
        settle: { to: 'part', part: ref },
      },
    ]
  })
